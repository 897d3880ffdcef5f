import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type DragEvent, type DragState, type Place, dragStep } from "./drag";

const tool = { threshold: 4, changeAt: (at: Place): number | null => (at.clientX < 0 ? null : at.clientX) };
const start: DragState<number> = { phase: "pressed", from: { clientX: 10, clientY: 10 } };
const move = (clientX: number, clientY = 10): DragEvent<Place> => ({ kind: "move", at: { clientX, clientY } });
const run = (...events: DragEvent<Place>[]): DragState<number> =>
  events.reduce<DragState<number>>((s, e) => dragStep(s, e, tool), start);

describe("a drag", () => {
  it("begins after a few pixels, in any direction, and not before", () => {
    expect(run(move(13)).phase).toBe("pressed");
    expect(run(move(14)).phase).toBe("dragging");
    expect(run(move(10, 14)).phase).toBe("dragging");
    expect(run(move(6)).phase).toBe("dragging");
  });
  it("once begun goes on through small moves, back to where it started too", () =>
    expect(run(move(20), move(11))).toMatchObject({ phase: "dragging", last: 11 }));
  it("makes the last change when it is let go, and none when it never began or was cancelled", () => {
    expect(run(move(20), move(30), { kind: "release" })).toEqual({ phase: "ended", made: 30 });
    expect(run(move(12), { kind: "release" })).toEqual({ phase: "ended", made: null });
    expect(run(move(20), { kind: "cancel" })).toEqual({ phase: "ended", made: null });
  });
  it("keeps the last change where the pointer stands for none", () =>
    expect(run(move(20), move(-5), { kind: "release" })).toEqual({ phase: "ended", made: 20 }));
  it("property: nothing happens after its end", () => {
    const event = fc.oneof(
      fc.tuple(fc.integer({ min: -50, max: 99 }), fc.integer({ min: -50, max: 99 })).map(([x, y]) => move(x, y)),
      fc.constant<DragEvent<Place>>({ kind: "release" }),
      fc.constant<DragEvent<Place>>({ kind: "cancel" }),
    );
    fc.assert(
      fc.property(fc.array(event), fc.array(event), (before, after) => {
        const ended = run(...before, { kind: "release" });
        expect(after.reduce<DragState<number>>((s, e) => dragStep(s, e, tool), ended)).toBe(ended);
      }),
    );
  });
});
