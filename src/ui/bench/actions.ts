/** An answer of the Bench kept by name, for one job or for none. */
export interface KeptAnswer {
  id: string;
  name: string;
  calculator: string;
  input: unknown;
  headline: string;
  jobId: string | null;
  at: string;
}

/** What the Bench asks of the server; the pages hand these in. */
export interface BenchActions {
  keep: (what: {
    name: string;
    calculator: string;
    input: unknown;
    jobId: string | null;
  }) => Promise<{ ok: true; kept: KeptAnswer[] } | { ok: false; message: string }>;
  drop: (id: string) => Promise<KeptAnswer[]>;
}
