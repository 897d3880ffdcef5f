"use client";
import { Copy, Printer, RotateCcw } from "lucide-react";
import Link from "next/link";
import { useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import { z } from "zod";
import { calculatorNamed } from "../../core/calculators/registry";
import type { Catalogue } from "../../core/rules/catalogue";
import type { Finding } from "../../core/words/findings";
import { mm } from "../../core/base/figures";
import { FindingCard } from "../desk/finding-card";
import { Ribbon } from "../drawing/ribbon";
import { SceneView, TrueScalePrint, trueScale } from "../drawing/scene-view";
import { Button } from "../kit/button";
import { PrintHead } from "../kit/print-head";
import { PageBar } from "../kit/page-bar";
import type { BenchActions, KeptAnswer } from "./actions";
import { CalculatorForm } from "./form-fields";
import { fieldOf, withInitials } from "./form-model";
import { KeepAnswer, KeptList } from "./keep-answer";
import { QuestionList } from "./question-list";
import { remember } from "./recent";
import { useAnswer } from "./use-answer";

export interface BenchProps {
  catalogue: Catalogue;
  kept: KeptAnswer[];
  jobs: { id: string; name: string }[];
  actions: BenchActions;
}

/** One question of the Bench: the fields, and at once the answer, the drawing, the tape and the steps. */
export function Bench({ name, input, catalogue, kept, jobs, actions }: BenchProps & { name: string; input: unknown }) {
  const c = calculatorNamed(name)!;
  const field = useMemo(() => fieldOf(z.toJSONSchema(c.input, { io: "input" }), "input"), [c]);
  const [value, setValue] = useState<unknown>(() => withInitials(field, input ?? c.first));
  const [all, setAll] = useState(kept);
  const a = useAnswer(name, value, catalogue);
  const headline = a.refused ? null : a.sheet?.headline;
  useEffect(() => {
    if (!headline) return;
    // Only what stands for a moment is an answer worth remembering.
    const timer = setTimeout(() => remember({ name, input: value, headline }), 1200);
    return () => clearTimeout(timer);
  }, [name, value, headline]);
  const suggest = (key: string): readonly string[] =>
    key === "cable" || key === "catalogue"
      ? catalogue.cables.filter((x) => key === "cable" || x.bedding !== undefined).map((x) => x.id)
      : key === "designation"
        ? catalogue.mineral.map((m) => m.id)
        : key === "size"
          ? [...catalogue.conduits, ...catalogue.trunkings].map((x) => x.id)
          : [];
  const scene = a.sheet?.scene;
  const scale = scene ? trueScale(scene) : null;
  const tape = a.sheet?.tape;
  const copy = (): void => {
    const text = [
      c.purpose,
      headline ?? "",
      ...(tape?.marks.map((m) => `${mm(m.at)}\t${m.text}`) ?? []),
      ...(a.sheet?.steps ?? []),
    ]
      .filter(Boolean)
      .join("\n");
    navigator.clipboard.writeText(text).then(
      () => toast("Answer copied"),
      () => toast.error("The browser did not allow copying. Select the answer and copy it by hand."),
    );
  };
  return (
    <div className="bench flex min-h-dvh flex-col lg:h-dvh">
      <PageBar here="Bench" />
      <PrintHead title="Bench" lines={[]} />
      <main className="grid min-h-0 flex-1 lg:grid-cols-[250px_310px_minmax(0,1fr)]">
        <div className="no-print hidden min-h-0 overflow-auto border-r border-line bg-rail p-3 lg:block">
          <QuestionList here={name} />
        </div>
        <Link
          href="/bench"
          className="no-print flex min-h-12 items-center border-b border-line bg-rail px-4 font-cond font-semibold lg:hidden"
        >
          ‹ All questions
        </Link>
        <section
          aria-label="What is known"
          className="min-h-0 overflow-auto border-line p-4 max-lg:border-b lg:border-r"
        >
          <h1 className="mb-3 text-[22px] leading-tight">{c.purpose}</h1>
          <CalculatorForm
            key={name}
            field={field}
            value={value}
            onChange={setValue}
            refused={a.refused}
            suggest={suggest}
          />
          <div className="no-print mt-4 flex flex-wrap gap-1.5 border-t border-line pt-3">
            <Button look="quiet" icon={<RotateCcw size={14} />} onClick={() => setValue(c.first)}>
              First values
            </Button>
          </div>
          <p className="mt-2 text-[13px] text-soft">
            {c.source}. A working aid: local code and licensed practice come first.{" "}
            <Link className="underline underline-offset-2" href={`/reference#${name}`}>
              Reference
            </Link>
          </p>
        </section>
        <section aria-label="Answer" aria-busy={a.working} className="min-h-0 overflow-auto p-4" data-answer>
          <div className="mb-2 flex flex-wrap items-start justify-between gap-2">
            <div className="min-w-0 flex-1 basis-80" role="status" aria-live="polite">
              {a.refused ? (
                <p className="text-[18px] font-medium text-stop" data-refused>
                  {a.refused.message}
                </p>
              ) : (
                <p className="font-cond text-[23px] leading-tight font-semibold" data-headline>
                  {headline ?? (a.working ? "Working it out" : "")}
                </p>
              )}
              {a.working ? <progress className="mt-1 h-1.5 w-48" aria-label="Working it out" /> : null}
            </div>
            <div className="no-print flex gap-1.5">
              <KeepAnswer
                calculator={name}
                input={value}
                suggested={headline ?? c.purpose}
                jobs={jobs}
                actions={actions}
                onKept={setAll}
                disabled={!headline}
              />
              <Button icon={<Copy size={15} />} onClick={copy} disabled={!headline}>
                Copy
              </Button>
              <Button icon={<Printer size={15} />} onClick={() => window.print()} disabled={!headline}>
                {scale ? "Print, true scale" : "Print"}
              </Button>
            </div>
          </div>
          <div className={a.stale ? "opacity-40" : ""} aria-hidden={a.stale}>
            {scene ? (
              <>
                <div className={scale ? "print-drop" : ""}>
                  <SceneView scene={scene} />
                </div>
                <TrueScalePrint scene={scene} />
              </>
            ) : null}
            {tape && tape.marks.length ? (
              <div className="mt-3">
                <h2 className="mb-1 text-[14px]">Tape measured from: {tape.datum}</h2>
                <Ribbon length={tape.length} marks={tape.marks} words={(m) => `${mm(m.at)} ${m.text.split(",")[0]}`} />
                <ol className="mt-1 flex flex-wrap gap-x-5 gap-y-0.5 text-[14px]" aria-label="Marks in order">
                  {tape.marks.map((m, i) => (
                    <li key={i}>
                      <span className="num font-medium">{mm(m.at)}</span> <span className="text-soft">{m.text}</span>
                    </li>
                  ))}
                </ol>
              </div>
            ) : null}
          </div>
          <div className="mt-3 grid gap-x-6 xl:grid-cols-2">
            {a.sheet?.steps?.filter(Boolean).length && !a.stale ? (
              <section aria-label="Steps">
                <h2 className="text-lg">Steps</h2>
                <ol className="list-decimal pl-6 text-[15px] leading-snug">
                  {a.sheet.steps.filter(Boolean).map((s, i) => (
                    <li key={i} className="py-1">
                      {s}
                    </li>
                  ))}
                </ol>
              </section>
            ) : null}
            {a.findings.length ? (
              <section aria-label="Findings">
                <h2 className="text-lg">Findings</h2>
                {a.findings.map((f, i) => (
                  <FindingCard key={i} f={withoutFix(f)} />
                ))}
              </section>
            ) : null}
            {a.output ? <Figures output={a.output} /> : null}
          </div>
          <section className="no-print mt-6" aria-label="Kept answers">
            <h2 className="text-lg">Kept answers</h2>
            <KeptList kept={all.filter((k) => k.calculator === name)} jobs={jobs} onDrop={dropWith(actions, setAll)} />
          </section>
        </section>
      </main>
    </div>
  );
}

/** Drops a kept answer and shows what is left, or says why not. */
const dropWith =
  (actions: BenchActions, show: (all: KeptAnswer[]) => void) =>
  (id: string): void =>
    void actions.drop(id).then(
      (told) => (told.ok ? show(told.kept) : void toast.error(told.message)),
      () => toast.error("The server did not answer."),
    );

/** On the Bench there is no job that a press could change. */
const withoutFix = ({ fix: _, ...f }: Finding): Finding => f;

/** All figures of the answer, by name, for those who want them to the last place. */
function Figures({ output }: { output: Record<string, unknown> }) {
  const rows = Object.entries(output).filter(([k]) => k !== "findings");
  const text = (v: unknown): string =>
    typeof v === "number"
      ? Number.isInteger(v)
        ? mm(v)
        : Number(v.toPrecision(8)).toString()
      : typeof v === "string"
        ? v
        : v === null
          ? "none"
          : JSON.stringify(v);
  return (
    <details className="mt-2">
      <summary className="cursor-pointer font-cond font-semibold">All figures</summary>
      <dl>
        {rows.map(([k, v]) => (
          <div key={k} className="grid grid-cols-[8rem_1fr] gap-2 border-b border-dotted border-line py-1">
            <dt className="text-[13.5px] text-soft">{k}</dt>
            <dd className="num min-w-0 text-[13.5px] break-words">{text(v)}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

/** The front of the Bench: pick by question. */
export function BenchFront({ kept, jobs, actions }: Omit<BenchProps, "catalogue">) {
  const [all, setAll] = useState(kept);
  return (
    <div className="min-h-dvh">
      <PageBar here="Bench" />
      <main className="mx-auto max-w-6xl p-4 sm:p-6">
        <h1 className="text-3xl">Bench</h1>
        <p className="mb-4 text-soft">
          One question, one answer, with a drawing and the marks to transfer. No job needed.
        </p>
        <QuestionList here={null} wide />
        <h2 className="mt-2 text-xl">Kept answers</h2>
        <KeptList kept={all} jobs={jobs} onDrop={dropWith(actions, setAll)} />
      </main>
    </div>
  );
}
