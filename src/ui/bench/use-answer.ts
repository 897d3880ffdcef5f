"use client";
import { type Remote, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import { type InputError, type Sheet, answer, sheetOf } from "../../core/calculators/calculator";
import { calculatorNamed } from "../../core/calculators/registry";
import type { Catalogue } from "../../core/rules/catalogue";
import type { Finding } from "../../core/words/findings";
import type { CalcWorker } from "../../workers/calc.worker";

export interface Worked {
  output: Record<string, unknown> | null;
  sheet: Sheet | null;
  refused: InputError | null;
  findings: Finding[];
}

/** Questions that may take longer than a frame are worked in a worker. */
const long: ReadonlySet<string> = new Set(["circuit.compare", "materials.cut"]);

const pack = (a: ReturnType<typeof answer>, sheet: Sheet | null): Worked =>
  a.ok
    ? {
        output: a.output as Record<string, unknown>,
        sheet,
        refused: null,
        findings: (a.output as { findings?: Finding[] }).findings ?? [],
      }
    : { output: null, sheet: null, refused: a.error, findings: [] };

/** The answer to what is typed, at once; long questions come from a worker, with `working` until they do. The last good sheet stays while the input is refused. */
export function useAnswer(
  name: string,
  input: unknown,
  catalogue: Catalogue,
): Worked & { working: boolean; stale: boolean } {
  const isLong = long.has(name);
  const [far, setFar] = useState<{ worked: Worked; input: unknown } | null>(null);
  const worker = useRef<Remote<CalcWorker> | null>(null);
  const turn = useRef(0);
  useEffect(() => {
    if (!isLong) return;
    const made = new Worker(new URL("../../workers/calc.worker.ts", import.meta.url), { type: "module" });
    worker.current = wrap<CalcWorker>(made);
    return () => {
      worker.current = null;
      made.terminate();
    };
  }, [isLong, name]);
  useEffect(() => {
    if (!isLong) return;
    const mine = ++turn.current;
    const timer = setTimeout(() => {
      void worker.current?.work(name, input, catalogue).then((w) => {
        if (mine === turn.current) setFar({ worked: pack(w.answer, w.sheet), input });
      });
    }, 60);
    return () => clearTimeout(timer);
  }, [isLong, name, input, catalogue]);
  const good = useRef<{ name: string; sheet: Sheet } | null>(null);
  let worked: Worked;
  let working = false;
  if (isLong) {
    worked = far?.worked ?? { output: null, sheet: null, refused: null, findings: [] };
    working = far?.input !== input;
  } else {
    const c = calculatorNamed(name)!;
    const a = answer(c, input, catalogue);
    worked = pack(a, a.ok ? sheetOf(c, input, catalogue) : null);
  }
  if (worked.sheet) good.current = { name, sheet: worked.sheet };
  const kept = good.current?.name === name ? good.current.sheet : null;
  return { ...worked, sheet: worked.sheet ?? kept, working, stale: worked.sheet === null && kept !== null };
}
