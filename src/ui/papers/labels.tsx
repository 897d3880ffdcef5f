"use client";
import { Download, Printer } from "lucide-react";
import { useRef, useState } from "react";
import { type LabelKind, labelKinds, labelNames, labelSheets } from "../../core/papers/labels";
import { type LabelPrinter } from "../../instruments/port";
import { CASSETTE, simulatedLabelPrinter, stripLength } from "../../instruments/simulated-label-printer";
import { Button, buttonLook } from "../kit/button";
import { NumberField } from "../kit/field";

/** The labels of a kind, each by its lines. */
export interface LabelsOfKind {
  kind: LabelKind;
  lines: readonly (readonly string[])[];
}

const TAPE = "tape";

/** Flags and labels: on sheets by their size, or on tape by a printer that is not there. */
export function Labels({ job, labels }: { job: string; labels: readonly LabelsOfKind[] }) {
  const [kinds, setKinds] = useState<ReadonlySet<LabelKind>>(new Set(["flags"]));
  const [sheet, setSheet] = useState(labelSheets[1]!.id);
  const [first, setFirst] = useState(1);
  const chosen = labelKinds.filter((k) => kinds.has(k));
  const lines = labels.filter((l) => kinds.has(l.kind)).flatMap((l) => l.lines);
  const on = labelSheets.find((s) => s.id === sheet);
  const each = on ? on.columns * on.rows : 0;
  const q = new URLSearchParams({ kinds: chosen.join(","), sheet, first: String(Math.min(first, each)) });
  const file = `/api/jobs/${job}/labels.pdf?${q.toString()}`;
  return (
    <section aria-label="Flags and labels" className="grid gap-2 border-t border-ink pt-3" data-labels={lines.length}>
      <h2 className="text-lg">Flags and labels</h2>
      {labels.map((l) => (
        <label key={l.kind} className="flex min-h-10 cursor-pointer items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-(--accent)"
            checked={kinds.has(l.kind)}
            data-label={l.kind}
            onChange={(e) => {
              const next = new Set(kinds);
              if (e.target.checked) next.add(l.kind);
              else next.delete(l.kind);
              setKinds(next);
            }}
          />
          <span className="flex-1">{labelNames[l.kind]}</span>
          <span className="num text-soft">{l.lines.length}</span>
        </label>
      ))}
      <label className="grid gap-1">
        Printed on
        <select
          className="min-h-12 w-full border border-line bg-field px-2 text-[16px]"
          data-field="label sheet"
          value={sheet}
          onChange={(e) => setSheet(e.target.value)}
        >
          {labelSheets.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
          <option value={TAPE}>tape 12 mm, by the simulated label printer</option>
        </select>
      </label>
      {!lines.length ? (
        <p className="text-soft">
          {chosen.length ? "Nothing to label yet: give circuits and lay their runs first." : "Tick what to label."}
        </p>
      ) : sheet === TAPE ? (
        <TapePrinter lines={lines} />
      ) : (
        <>
          <NumberField
            label="First free label of the sheet"
            name="first label"
            value={first}
            min={1}
            max={each}
            whole
            unit=""
            step={1}
            onCommit={(n) => {
              setFirst(n);
              return null;
            }}
          />
          <p className="text-[14px] text-soft">
            {lines.length} labels. Print at 100 %; a flag is folded round its cable at the broken line.
          </p>
          <div className="flex flex-wrap gap-2">
            <a className={buttonLook({ big: true })} href={`${file}&look=1`} target="_blank">
              <Printer size={18} aria-hidden /> Print labels
            </a>
            <a className={buttonLook({ big: true })} href={file} download data-labels-file>
              <Download size={18} aria-hidden /> Keep as PDF
            </a>
          </div>
        </>
      )}
    </section>
  );
}

/** Labels on tape, one after another, as far as the cassette goes. */
function TapePrinter({ lines }: { lines: readonly (readonly string[])[] }) {
  const printer = useRef<LabelPrinter>(simulatedLabelPrinter());
  const [out, setOut] = useState<readonly (readonly string[])[]>([]);
  const [words, setWords] = useState("");
  const left = lines.slice(out.length);
  const print = async (): Promise<void> => {
    const done = [...out];
    for (const l of left) {
      const r = await printer.current.print(l);
      setWords(r.words);
      if (r.length === null) break;
      done.push(l);
    }
    setOut(done);
  };
  return (
    <div className="grid gap-2">
      <p className="text-[14px] text-soft">
        {printer.current.name}: no real one is driven. It shows what would come out, and stops where its tape is empty.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button big onClick={() => void print()} disabled={!left.length}>
          {!left.length
            ? "All are printed"
            : out.length
              ? `Go on with ${left.length}`
              : `Print ${lines.length} on tape`}
        </Button>
        {left.length && out.length ? (
          <Button
            big
            onClick={() => {
              printer.current = simulatedLabelPrinter(CASSETTE);
              setWords("A new cassette is in.");
            }}
          >
            Another cassette
          </Button>
        ) : null}
      </div>
      <p role="status" className="num text-[14px]" data-tape-words>
        {words}
      </p>
      <ol className="grid max-h-64 gap-1 overflow-y-auto" aria-label="Printed labels" tabIndex={0}>
        {out.map((l, i) => (
          <li
            key={i}
            className="flex min-h-9 w-fit max-w-full items-center gap-2 border border-line bg-field px-2 text-[13px]"
          >
            <b className="whitespace-nowrap">{l[0]}</b>
            <span className="min-w-0">{l.slice(1).join(" · ")}</span>
            <span className="num text-soft">{stripLength(l)} mm</span>
          </li>
        ))}
      </ol>
    </div>
  );
}
