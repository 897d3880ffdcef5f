import type { Carried, CoreColour } from "../../rules/cores";

/** Where a core ends. `gang` counts from 1 where the switch has several; `link` where the line goes on to the other gangs. */
export interface Terminal {
  mark:
    | "COM"
    | "L1"
    | "L2"
    | "L3"
    | "L4"
    | "loop"
    | "SL"
    | "L"
    | "N"
    | "L-feed"
    | "N-feed"
    | "L-load"
    | "N-load"
    | "E"
    | "connector";
  gang?: number;
  link?: boolean;
  /** Letter of the connector it goes into, the same for all that are joined there. */
  connector?: string;
}
/** A core at a point: its colour now and in old work, what it carries, the sleeve over it, and where it ends. */
export interface WiredCore {
  colour: CoreColour;
  old: CoreColour;
  carries: Carried | "cpc" | "spare";
  sleeve: CoreColour | null;
  terminal: Terminal;
}
/** A cable at a point, with the point at its other end. */
export interface WiredCable {
  run: string;
  other: string;
  cores: WiredCore[];
}
