"use client";
import { ArrowLeft, Download, Printer } from "lucide-react";
import Link from "next/link";
import { mm } from "../../core/base/figures";
import type { Block, Paper, TableBlock } from "../../core/papers/paper";
import { Ribbon } from "../drawing/ribbon";
import { SceneView } from "../drawing/scene-view";
import { useMoment } from "../kit/use-moment";
import { buttonLook } from "../kit/button";
import { Table } from "../stages/table";

/** One paper of a job to be read on the screen: the same drawing, tables and words that are printed. */
export function PaperPage({
  job,
  paper,
  back,
  kept,
}: {
  job: { id: string; name: string; address: string };
  paper: Paper;
  /** Where it is left for. */
  back: { href: string; name: string };
  /** Where it is had as a PDF, without the moment it is asked at; null for whoever may only read it here. */
  kept: string | null;
}) {
  const file = `${kept}${useMoment()}`;
  return (
    <div className="min-h-dvh bg-page" data-paper={`${paper.kind} ${paper.id}`}>
      <header className="bar no-print flex min-h-14 items-center gap-3 bg-bar px-3 text-barink">
        <Link href={back.href} className="inline-flex size-12 items-center justify-center" aria-label={back.name}>
          <ArrowLeft />
        </Link>
        <div className="min-w-0">
          <p className="truncate font-cond text-xl font-semibold">{job.name}</p>
          <p className="truncate text-[14px] opacity-80">{job.address}</p>
        </div>
      </header>
      <main className="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-3 p-4">
        <div className="flex flex-wrap items-start justify-between gap-2">
          <div>
            <h1 className="text-2xl">{paper.title}</h1>
            <p className="text-soft">{paper.about}</p>
          </div>
          {kept === null ? null : (
            <div className="no-print flex flex-wrap gap-2">
              <a className={buttonLook({ big: true, look: "solid" })} href={`${file}&look=1`} target="_blank">
                <Printer size={18} aria-hidden /> Print
              </a>
              <a className={buttonLook({ big: true })} href={file} download>
                <Download size={18} aria-hidden /> Keep as PDF
              </a>
            </div>
          )}
        </div>
        {paper.blocks.map((b, i) => (
          <BlockView key={i} b={b} job={job.id} at={String(i + 1)} />
        ))}
      </main>
    </div>
  );
}

/** `at` tells blocks of one kind apart by name. */
function BlockView({ b, job, at }: { b: Block; job: string; at: string }) {
  switch (b.kind) {
    case "table":
      return <TableOf b={b} at={at} />;
    case "text":
      return b.look === "heading" ? (
        <h2 className="mt-1 text-lg">{b.text}</h2>
      ) : (
        <p
          className={
            b.look === "caution"
              ? "border-l-4 border-stop bg-panel p-2 font-medium"
              : b.look === "soft"
                ? "text-soft"
                : ""
          }
        >
          {b.text}
        </p>
      );
    case "scene":
      return <SceneView scene={b.scene} tall={Math.max(260, b.tall * 4)} beside={72} />;
    case "true":
      return (
        <div>
          <SceneView scene={b.scene} tall={300} />
          <p className="text-[13px] text-soft">At true scale on paper.</p>
        </div>
      );
    case "stick":
      return (
        <div>
          <Ribbon length={b.length} marks={b.marks} words={(m) => m.text} />
          <p className="text-[13px] text-soft">{mm(Math.round(b.length))} long, at true scale on paper.</p>
          <ol className="columns-[16rem] gap-4 text-[14px]" aria-label="Marks">
            {b.marks.map((m) => (
              <li key={`${m.at} ${m.text}`}>{m.text}</li>
            ))}
          </ol>
        </div>
      );
    case "photos":
      return (
        <ul className="grid gap-3 sm:grid-cols-3">
          {b.photos.map((p) => (
            <li key={p.picture}>
              <img src={`/api/jobs/${job}/pictures/${p.picture}`} alt={p.words} className="w-full border border-line" />
              <span className="text-[14px]">{p.words}</span>
            </li>
          ))}
        </ul>
      );
    case "columns":
      return (
        <div
          className="grid gap-4 md:grid-cols-(--columns)"
          style={{
            ["--columns" as string]: (b.shares ?? b.columns.map(() => 1)).map((s) => `minmax(0,${s}fr)`).join(" "),
          }}
        >
          {b.columns.map((c, i) => (
            <div key={i} className="grid min-w-0 content-start gap-2">
              {c.map((x, n) => (
                <BlockView key={n} b={x} job={job} at={`${at}.${i + 1}.${n + 1}`} />
              ))}
            </div>
          ))}
        </div>
      );
  }
}

function TableOf({ b, at }: { b: TableBlock; at: string }) {
  const rows = b.rows.map((cells, n) => ({ cells, n }));
  return (
    <div>
      {b.title ? <h2 className="mt-1 text-lg">{b.title}</h2> : null}
      <Table
        label={`${b.title ?? b.heads.join(", ")} · table ${at}`}
        rows={rows}
        keyOf={(r) => String(r.n)}
        empty={b.none}
        columns={b.heads.map((name, i) => ({
          name,
          num: b.figures?.includes(i) ?? false,
          cell: (r: (typeof rows)[number]) => r.cells[i],
        }))}
      />
    </div>
  );
}
