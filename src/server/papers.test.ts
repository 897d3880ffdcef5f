import { describe, expect, it } from "vitest";
import { layHouse } from "../core/house/house";
import { blankJob } from "../core/job/model";
import { makePlan } from "../core/plan/plan";
import { ternCottage } from "../data/demo/tern-cottage";
import { paperKinds } from "../core/papers/paper";
import { labelsAsked } from "./labels";
import { linkOf, papersAsked } from "./papers";

const job = ternCottage();
const [h, plan] = [layHouse(job), makePlan(job)];
const ask = (q: string) =>
  papersAsked(new Request(`http://127.0.0.1/api/jobs/x/papers.pdf?${q}`), h, plan, [], 1, async () => null);

describe("papers that are asked for", () => {
  it("come as a PDF", async () => {
    const r = await ask("kinds=circuits,notify&size=A3");
    expect(r.ok && r.pdf.subarray(0, 5).toString()).toBe("%PDF-");
  });
  it("are refused with the field, what it was and what it may be", async () => {
    const said = async (q: string): Promise<string> => {
      const r = await ask(q);
      return r.ok ? "made" : `${r.path}: ${r.message}`;
    };
    expect(await said("")).toMatch(/^kinds: got ""; must be one or more of plan, room, wall, stick/);
    expect(await said("kinds=poem")).toMatch(/^kinds: got "poem"; must be/);
    expect(await said("kinds=cuts&size=A5")).toBe('size: got "A5"; must be A4 or A3 or roll');
    expect(await said("kinds=stick,cuts&size=roll")).toBe('size: got "roll"; a roll takes stick, joists, runs alone');
    expect(await said("kinds=cuts&zone=Moon/Base")).toBe(
      'zone: got "Moon/Base"; must be a place such as Europe/London',
    );
    expect(await said("kinds=cuts&date=yesterday")).toBe('date: got "yesterday"; must be a day such as 2026-11-30');
    expect(await said("kinds=cuts&one=w1")).toBe('one: got "w1"; must be a paper of this job');
    expect(await said("kinds=wall&room=cellar")).toBe('room: got "cellar"; must be a room of this job');
    expect(await said("kinds=wall&wall=w99")).toBe('wall: got "w99"; must be a wall of this job');
  });
  it("of a job with nothing in it say what to do first", async () => {
    const empty = blankJob("e", "Empty");
    const request = new Request(`http://127.0.0.1/?kinds=${paperKinds.join(",")}`);
    const r = await papersAsked(request, layHouse(empty), makePlan(empty), [], 1, async () => null);
    expect(r.ok ? "made" : r.message).toMatch(/nothing of it yet: draw rooms/);
  });
});

describe("labels that are asked for", () => {
  const labels = (q: string) => labelsAsked(new Request(`http://127.0.0.1/api/jobs/x/labels.pdf?${q}`), h, plan);
  it("come as a PDF, or are refused with the field, what it was and what it may be", async () => {
    const r = await labels("kinds=flags&sheet=24&first=24");
    expect(r.ok && r.pdf.subarray(0, 5).toString()).toBe("%PDF-");
    const said = async (q: string): Promise<string> => {
      const x = await labels(q);
      return x.ok ? "made" : `${x.path}: ${x.message}`;
    };
    expect(await said("sheet=24")).toBe('kinds: got ""; must be one or more of flags, ways, points');
    expect(await said("kinds=ways&sheet=7")).toBe('sheet: got "7"; must be 65, 24, 14');
    expect(await said("kinds=ways&sheet=24&first=25")).toBe(
      'first: got "25"; must be a whole number from 1 to the labels of a sheet',
    );
    const empty = blankJob("e", "Empty");
    const none = await labelsAsked(
      new Request("http://127.0.0.1/?kinds=flags&sheet=24"),
      layHouse(empty),
      makePlan(empty),
    );
    expect(none.ok ? "made" : none.message).toMatch(/nothing to label yet: give circuits/);
  });
});

describe("the code of a wall sheet", () => {
  const wall = job.walls.find((w) => w.room === "kitchen") ?? job.walls[0]!;
  const at = (url: string, headers: Record<string, string> = {}) =>
    linkOf(new Request(url, { headers }), job.id)?.(wall.id) ?? null;
  it("leads to the job where others reach this program, and nowhere on this machine alone", () => {
    expect(at("http://127.0.0.1:4310/x")).toBeNull();
    expect(at("http://localhost:4310/x")).toBeNull();
    expect(at("http://[::1]:4310/x")).toBeNull();
    expect(at("https://lumbet.lan:4310/x")).toBe(`https://lumbet.lan:4310/jobs/tern-cottage/walls/${wall.id}`);
    const proxied = { "x-forwarded-host": "jobs.house.lan", "x-forwarded-proto": "https" };
    expect(at("http://127.0.0.1:4310/x", proxied)).toBe(`https://jobs.house.lan/jobs/tern-cottage/walls/${wall.id}`);
  });
});
