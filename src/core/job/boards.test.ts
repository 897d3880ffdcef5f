import { describe, expect, it } from "vitest";
import { makePlan } from "../plan/plan";
import { layDeck } from "../house/deck";
import { generatedHouse } from "../routing/generated-house";
import { boardOfCircuit, mainBoard } from "./boards";
import { type Job, type Point, jobSchema } from "./model";

const job = generatedHouse(4, 2, 3);
const board = job.points.find((p) => p.kind === "board")!;
const second = (id: string, label: string): Point => ({
  ...board,
  id,
  label,
  place: { on: "wall", wall: "r1w1", u: 700, v: 1500 },
});
const withBoards = (...more: Point[]): Job => jobSchema.parse({ ...job, points: [...job.points, ...more] });

describe("the board that feeds what names none", () => {
  it("is the one with the first label, as people count, whatever its id", () => {
    const two = withBoards(second("a-new-one", "DB2"), second("z", "DB10"));
    expect(mainBoard(two)!.id).toBe(board.id);
    expect(mainBoard(withBoards(second("z", "DB0")))!.id).toBe("z");
    expect(mainBoard({ points: [] })).toBeUndefined();
    const c = job.circuits[0]!;
    expect(boardOfCircuit(two, { ...c, board: "z" })!.id).toBe("z");
    expect(boardOfCircuit(two, { ...c, board: "gone" })!.id).toBe(board.id);
  });
  it("a second board, though its id comes first, changes no run", () => {
    const before = makePlan(job).runs.map((r) => [r.id, r.pathLength]);
    expect(makePlan(withBoards(second("a-new-one", "DB2"))).runs.map((r) => [r.id, r.pathLength])).toEqual(before);
  });
});

describe("what is there already", () => {
  it("is not bought again: points found in the house, boards among them, and those of a circuit kept as it was", () => {
    const count = (j: Job, item: RegExp): number =>
      makePlan(j)
        .takeoff.filter((l) => item.test(l.item))
        .reduce((n, l) => n + l.quantity, 0);
    const socket = job.points.find((p) => p.kind === "socket")!;
    const found = (id: string): Job =>
      jobSchema.parse({ ...job, points: job.points.map((p) => (p.id === id ? { ...p, existing: true } : p)) });
    expect(count(job, /socket/i) - count(found(socket.id), /socket/i)).toBe(1);
    expect(count(job, /Flush box/) - count(found(socket.id), /Flush box/)).toBe(1);
    expect(count(job, /unit|board/i)).toBeGreaterThan(count(found(board.id), /unit|board/i));
    const kept = jobSchema.parse({
      ...job,
      circuits: job.circuits.map((c) => (c.kind === "lighting" ? { ...c, state: "keep" } : c)),
    });
    expect(count(kept, /light/i)).toBe(0);
    expect(count(kept, /socket/i)).toBe(count(job, /socket/i));
  });
});

describe("the last joist of a deck", () => {
  it("counts as soon as its centre line lies in the deck", () => {
    const deck = job.decks[0]!;
    const across = deck.joists.direction === "east-west" ? ("y" as const) : ("x" as const);
    const low = Math.min(...deck.outline.map((p) => p[across]));
    const wide = (high: number): number =>
      layDeck({
        ...deck,
        joists: { ...deck.joists, first: 300, spacing: 400, breadth: 47 },
        outline: deck.outline.map((p) => (p[across] === low ? p : { ...p, [across]: low + high })),
      }).joists.length;
    // Centres at 300, 700, 1 100 …: a deck of 1 110 has three, though 10 is less than half a breadth.
    expect([wide(1099), wide(1100), wide(1101), wide(1110), wide(1124)]).toEqual([2, 2, 3, 3, 3]);
  });
});
