import { atMost } from "../../base/tolerance";
import { LUGS, RISE, SCREW_HEADS, boxDepths, connector } from "../../rules/box-room";

/** One conductor behind an accessory, mm. */
export interface Tail {
  diameter: number;
  length: number;
}

/** What must go into the depth of a box, and whether it does. Lengths mm. */
export interface BoxRoom {
  /** Depth of the box inside. */
  has: number;
  /** Accessory, conductors in layers, connectors and screw heads together. */
  needs: number;
  parts: { accessory: number; conductors: number; connectors: number; screws: number };
  /** Layers the folded conductors lie in. */
  layers: number;
  closes: boolean;
  /** The smallest depth sold that closes; null where none does. */
  takes: number | null;
}

/**
 * Depth that a box must have. Every conductor lies folded to and fro along the longer side, at least once, side by side
 * across the shorter one, as
 * many layers as that takes, behind the accessory; connectors lie behind in rows of their own. Own reckoning, on the safe side.
 * @param box inside, mm
 * @param body depth of the accessory behind its plate, mm
 * @param connectors how many lever connectors lie in it
 */
export function boxRoom(
  box: { width: number; height: number; depth: number },
  body: number,
  tails: readonly Tail[],
  connectors: number,
): BoxRoom {
  const along = Math.max(box.width, box.height) - 2 * LUGS;
  const across = Math.min(box.width, box.height) - 2 * LUGS;
  const thick = Math.max(0, ...tails.map((t) => t.diameter));
  const wide = tails.reduce((sum, t) => sum + t.diameter * Math.max(2, Math.ceil((t.length - RISE) / along)), 0);
  const layers = Math.max(0, Math.ceil(wide / across - 1e-9));
  const rows = Math.ceil(connectors / Math.max(1, Math.floor(across / connector.width)));
  const parts = {
    accessory: body,
    conductors: layers * thick,
    connectors: rows * connector.height,
    screws: SCREW_HEADS,
  };
  const needs = parts.accessory + parts.conductors + parts.connectors + parts.screws;
  return {
    has: box.depth,
    needs,
    parts,
    layers,
    closes: atMost(needs, box.depth),
    takes: boxDepths.find((d) => atMost(needs, d)) ?? null,
  };
}
