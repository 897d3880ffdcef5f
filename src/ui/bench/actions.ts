import type { KeptAnswer } from "../../core/calculators/kept-answer";

export type { KeptAnswer };

/** What the Bench asks of the server; the pages hand these in. */
export interface BenchActions {
  keep: (what: {
    name: string;
    calculator: string;
    input: unknown;
    jobId: string | null;
  }) => Promise<{ ok: true; kept: KeptAnswer[] } | { ok: false; message: string }>;
  drop: (id: string) => Promise<{ ok: true; kept: KeptAnswer[] } | { ok: false; message: string }>;
}
