import type { PointerEvent as RPointer } from "react";
import { toast } from "sonner";
import { mm } from "../../../core/base/figures";
import type { XY } from "../../../core/base/polygon";
import type { House } from "../../../core/house/house";
import type { Run } from "../../../core/laid/laid";
import { type LegPosition, legPosition, moveLeg } from "../../../core/laid/move-leg";
import { change, edit, useDesk } from "../../job/store";
import { drag } from "./drag";

/** Legs come to the centimetre on walls and to 5 mm in decks; with Alt to the millimetre. */
const WALL_GRID = 10;
const DECK_GRID = 5;
/** Pixels before a press on a leg moves it. */
const THRESHOLD = 5;

/** Takes hold of a leg: it is picked, follows the pointer as a ghost, and is pinned where it is let go. Work done stays where it is. */
function dragLeg(
  e: RPointer,
  h: House,
  run: Run,
  leg: number,
  at: (m: PointerEvent, position: LegPosition) => number,
  show: (at: number | null) => void,
  made: (at: number) => void,
): void {
  if (e.button !== 0) return;
  e.stopPropagation();
  useDesk.setState({ selection: { kind: "run", id: run.id, leg } });
  const l = run.legs[leg];
  const position = l && !run.held ? legPosition(h, l) : null;
  if (!position) return;
  drag<number>(e, {
    threshold: THRESHOLD,
    changeAt: (m) => at(m, position),
    show,
    drop: () => show(null),
    make: (value) => {
      show(null);
      const pin = moveLeg(h, run, leg, value);
      if (!pin) return;
      const refused = edit([change("pins", pin.id, pin)]);
      if (refused) toast.error(refused);
      else made(value);
    },
  });
}

const grid = (x: number, step: number, free: boolean): number => Math.round(x / (free ? 1 : step)) * (free ? 1 : step);

/** A leg of the deck, seen from above. */
export function dragLegInDeck(
  e: RPointer,
  h: House,
  run: Run,
  leg: number,
  toPlan: (m: { clientX: number; clientY: number }) => XY,
  show: (ghost: { run: Run; leg: number; at: number } | null) => void,
): void {
  if (run.legs[leg]?.surface.kind !== "deck") {
    if (e.button === 0) {
      e.stopPropagation();
      useDesk.setState({ selection: { kind: "run", id: run.id, leg } });
    }
    return;
  }
  dragLeg(
    e,
    h,
    run,
    leg,
    (m, position) => {
      const p = toPlan(m);
      return grid(position.measure === "x" ? p.x : p.y, DECK_GRID, m.altKey);
    },
    (at) => show(at === null ? null : { run, leg, at }),
    () => undefined,
  );
}

/** A leg on a wall of the unrolled room; `wall` says where that wall starts in the drawing and how large it is, mm. */
export function dragLegOnWall(
  e: RPointer,
  h: House,
  run: Run,
  leg: number,
  wall: { x: number; length: number; height: number },
  toDrawing: (m: { clientX: number; clientY: number }) => { x: number; y: number },
  show: (at: number | null) => void,
): void {
  dragLeg(
    e,
    h,
    run,
    leg,
    (m, position) => {
      const p = toDrawing(m);
      const [raw, most] = position.measure === "u" ? [p.x - wall.x, wall.length] : [-p.y, wall.height];
      return Math.min(most, Math.max(0, grid(raw, WALL_GRID, m.altKey)));
    },
    show,
    (at) =>
      toast(`Pinned: leg ${leg + 1} at ${mm(at)}`, {
        description: "It stays where you put it. The findings say what becomes of it.",
      }),
  );
}
