import { expect, it } from "vitest";
import { house } from "../house/one-change.fixture";
import { type House, layHouse } from "../house/house";
import { relayHouse } from "../house/relay";
import type { Job } from "../job/model";
import { pointFacts } from "./point-facts";

/** What is found in a house gone on with from edit to edit, and in the same never seen before. */
function afterEach(edits: readonly ((j: Job) => Job)[]): string[] {
  let h: House = layHouse(house);
  const told = [JSON.stringify(pointFacts(h))];
  for (const edit of edits) {
    h = relayHouse(h, edit(h.job));
    told.push(JSON.stringify(pointFacts(h)));
    expect(told[told.length - 1]).toBe(JSON.stringify(pointFacts(layHouse(structuredClone(h.job)))));
  }
  return told;
}

it("is judged anew when the dwelling, what stands on the wall or the kind of a point changes, though the face does not", () => {
  const socket = house.points.find((p) => p.kind === "socket" && p.place.on === "wall")!;
  const { wall } = socket.place as { wall: string };
  const low = (j: Job): Job => ({
    ...j,
    points: j.points.map((p) => (p.id === socket.id ? { ...p, place: { ...p.place, v: 300 } as typeof p.place } : p)),
  });
  const told = afterEach([
    low,
    (j) => ({ ...j, dwelling: { ...j.dwelling, newDwelling: true } }),
    (j) => ({ ...j, points: j.points.map((p) => (p.id === socket.id ? { ...p, kind: "junction-box" } : p)) }),
    (j) => ({ ...j, points: j.points.map((p) => (p.id === socket.id ? socket : p)) }),
    (j) => ({ ...j, dwelling: { ...j.dwelling, newDwelling: false } }),
    low,
    (j) => ({
      ...j,
      fixtures: [
        ...j.fixtures,
        { id: "sink", kind: "sink", wall, u: 0, v: 850, width: 6000, height: 200 } as Job["fixtures"][number],
      ],
    }),
  ]);
  // Each edit but those that only put the point where it is low is one that is told of.
  for (const i of [2, 3, 4, 5, 7]) expect([i, told[i]]).not.toEqual([i, told[i - 1]]);
});
