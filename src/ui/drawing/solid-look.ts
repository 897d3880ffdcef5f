import type { Selection } from "../job/store";

/** What a press in the solid view hits. */
export type Hit = NonNullable<Selection>;

/** Colours of the page, as the theme has them now. */
export interface Inks {
  ink: string;
  soft: string;
  plaster: string;
  zone: string;
  deck: string;
  fixture: string;
  timber: string;
  timberline: string;
  accent: string;
  stop: string;
  plate: string;
  page: string;
  run: (circuit: string) => string;
}

export interface Look {
  /** Storey shown, or null for the whole house. */
  storey: string | null;
  selection: Selection;
  /** Whether joists, studs, noggins and plates are drawn. */
  joists: boolean;
  /** The room in hand, whose points are named before others. */
  room: string | null;
}
