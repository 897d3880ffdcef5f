/** What a writer said that it had stored: it must be there for ever after. */
export interface Told {
  versions: Record<string, number>;
  lines: string[];
  jobs: string[];
}
