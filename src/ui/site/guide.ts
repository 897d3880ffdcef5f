/** Which guided work is open: of a run, at the point where its cable ends. */
export interface Guide {
  run: string;
  point: string;
  kind: string;
}

/** The address of guided work within the site page, so that it opens without a signal. */
export const guideHref = ({ run, point, kind }: Guide): string =>
  `?${new URLSearchParams({ run, at: point, steps: kind }).toString()}`;
