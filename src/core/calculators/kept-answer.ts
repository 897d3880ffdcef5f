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
