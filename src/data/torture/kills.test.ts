import { expect, it } from "vitest";
import { kills } from "./kills";

it("killed in the middle of its work and while it starts, nothing that was told as stored is lost, and nothing is there in part", async () => {
  const out = await kills(11, (done) => done >= 5);
  expect(out.lost).toEqual([]);
  expect([out.kills, out.early]).toEqual([5, 1]);
  expect(out.edits + out.lines + out.jobs).toBeGreaterThan(0);
});
