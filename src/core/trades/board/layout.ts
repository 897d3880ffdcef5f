/** Width of one way, and of a double-pole main switch, mm. Source: BS EN 60898-1 devices on a rail, usual modules. */
export const MODULE = 18;
export const MAIN_SWITCH = 36;
/** From the inside of the enclosure to the first device at each side, mm. Typical. */
const SIDE = 20;
/** From the top terminal of a device to the middle of its rail, mm. Typical. */
const TERMINAL_UP = 42;
/** Height of the bars for neutrals and protective conductors over the floor of the enclosure, mm. Typical. */
const BAR_UP = 30;
/** Screws along a bar are this far apart, mm. Typical. */
const SCREW_PITCH = 7;
/** What dressing takes on top of the way itself: round the corner and back into the terminal, mm. Trade habit. */
export const DRESS = 60;
/** Sheath that comes in past the entry before it stops, mm. Trade habit. */
export const SHEATH_PAST_ENTRY = 40;

export interface XY {
  x: number;
  y: number;
}
/** Where things are in a board, from the left top corner of its inside, mm. */
export interface BoardLayout {
  width: number;
  height: number;
  rows: number;
  mainSwitch: { x: number; y: number };
  /** Terminal of each way, way 1 first. */
  ways: (XY & { row: number })[];
  neutralBar: { x0: number; x1: number; y: number };
  earthBar: { x0: number; x1: number; y: number };
}

/** A board with its main switch at the left and way 1 beside it; ways that do not fit one rail go on the rail below. Typical. */
export function boardLayout(box: { width: number; height: number }, ways: number): BoardLayout {
  const room = box.width - 2 * SIDE;
  const first = Math.max(1, Math.floor((room - MAIN_SWITCH) / MODULE));
  const more = Math.max(1, Math.floor(room / MODULE));
  const rows = ways <= first ? 1 : 1 + Math.ceil((ways - first) / more);
  const rail = (row: number): number => (box.height * (row + 1)) / (rows + 1);
  const bars = { y: box.height - BAR_UP };
  return {
    ...box,
    rows,
    mainSwitch: { x: SIDE + MAIN_SWITCH / 2, y: rail(0) },
    ways: Array.from({ length: ways }, (_, i) => {
      const row = i < first ? 0 : 1 + Math.floor((i - first) / more);
      const n = row === 0 ? i : (i - first) % more;
      const x = SIDE + (row === 0 ? MAIN_SWITCH : 0) + (n + 0.5) * MODULE;
      return { x, y: rail(row) - TERMINAL_UP, row };
    }),
    neutralBar: { x0: SIDE, x1: box.width / 2 - 10, ...bars },
    earthBar: { x0: box.width / 2 + 10, x1: box.width - SIDE, ...bars },
  };
}

/** Where a way's neutral or protective conductor goes on its bar. */
const onBar = (bar: BoardLayout["neutralBar"], way: number): XY => ({
  x: Math.min(bar.x1, bar.x0 + (way - 0.5) * SCREW_PITCH),
  y: bar.y,
});

/** Lengths of a cable's conductors from where it comes in, mm, each the next ten up. */
export interface BoardTails {
  line: number;
  neutral: number;
  earth: number;
}

/** Level and plumb from the entry to a terminal, and the dressing on top. */
const tailTo = (entry: XY, at: XY): number =>
  Math.ceil((Math.abs(at.x - entry.x) + Math.abs(at.y - entry.y) + DRESS) / 10 - 1e-9) * 10;

/** To the device of a way and to its screw on each bar. The way counts from 1. */
export function boardTails(board: BoardLayout, way: number, entry: XY): BoardTails {
  return {
    line: tailTo(entry, board.ways[way - 1]!),
    neutral: tailTo(entry, onBar(board.neutralBar, way)),
    earth: tailTo(entry, onBar(board.earthBar, way)),
  };
}

/** Where what feeds the board goes: the top terminals of its main switch. */
export const mainTerminal = ({ mainSwitch }: BoardLayout): XY => ({ x: mainSwitch.x, y: mainSwitch.y - TERMINAL_UP });

/** Of the cable that feeds the board: line and neutral to its main switch, the earth to the first screw of its bar. */
export function feedTails(board: BoardLayout, entry: XY): BoardTails {
  const main = tailTo(entry, mainTerminal(board));
  return { line: main, neutral: main, earth: tailTo(entry, onBar(board.earthBar, 1)) };
}
