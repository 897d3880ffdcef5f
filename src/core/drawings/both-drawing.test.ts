import { describe, expect, it } from "vitest";
import { twoRooms } from "../house/two-rooms.fixture";
import { standardCatalogue } from "../rules/catalogue";
import { drawBoth } from "./both-drawing";
import { type Shape } from "./scene";

const job = twoRooms();
const socket = job.points.find((p) => p.kind === "socket")!;
const at = (u: number, v: number) => ({
  ...job,
  points: job.points.map((p) => (p.id === socket.id ? { ...p, place: { ...p.place, u, v } as typeof p.place } : p)),
});
const rects = (shapes: readonly Shape[]): { x: number; y: number; dash: boolean }[] =>
  shapes.flatMap((s) =>
    s.kind === "line" && (s.ink === "cut" || s.ink === "accent")
      ? [
          {
            x: Math.min(...s.points.map((q) => q[0])),
            y: Math.max(...s.points.map((q) => q[1])),
            dash: s.dash === true,
          },
        ]
      : [],
  );
const words = (shapes: readonly Shape[]): string[] => shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));

describe("theirs and mine in one picture", () => {
  it("a point on its wall, where each put it, theirs dashed", () => {
    const s = drawBoth({ collection: "points", id: socket.id }, at(700, 450), at(900, 1200), standardCatalogue)!;
    const [theirs, mine] = rects(s.shapes);
    expect([mine!.x - theirs!.x, theirs!.y - mine!.y]).toEqual([200, 750]);
    expect([theirs!.dash, mine!.dash]).toEqual([true, false]);
    expect(words(s.shapes)).toEqual(expect.arrayContaining(["theirs", "mine"]));
  });
  it("deleted by one, the other's alone; a room by both outlines; what has no place has no picture", () => {
    const gone = { ...job, points: job.points.filter((p) => p.id !== socket.id) };
    const one = drawBoth({ collection: "points", id: socket.id }, gone, job, standardCatalogue)!;
    expect([rects(one.shapes).length, words(one.shapes).includes("theirs")]).toEqual([1, false]);
    const room = job.rooms[0]!;
    const wider = {
      ...job,
      rooms: job.rooms.map((r) =>
        r.id === room.id ? { ...r, outline: r.outline.map(({ x, y }) => ({ x: x * 2, y })) } : r,
      ),
    };
    expect(rects(drawBoth({ collection: "rooms", id: room.id }, wider, job, standardCatalogue)!.shapes)).toHaveLength(
      2,
    );
    expect(drawBoth({ collection: "head", id: "supply" }, job, job, standardCatalogue)).toBeNull();
    expect(drawBoth({ collection: "circuits", id: "c1" }, job, job, standardCatalogue)).toBeNull();
  });
});
