import { describe, expect, it } from "vitest";
import { layHouse } from "../core/house/house";
import { blankJob } from "../core/job/model";
import { makePlan } from "../core/plan/plan";
import { ternCottage } from "../data/demo/tern-cottage";
import { linkOf, papersAsked } from "./papers";

const job = ternCottage();
const [h, plan] = [layHouse(job), makePlan(job)];
const ask = (q: string) => papersAsked(new Request(`http://127.0.0.1/api/jobs/x/papers.pdf?${q}`), h, plan, [], 1);

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
    expect(await said("kinds=cuts&size=A5")).toBe('size: got "A5"; must be A4 or A3');
    expect(await said("kinds=wall&room=cellar")).toBe('room: got "cellar"; must be a room of this job');
    expect(await said("kinds=wall&wall=w99")).toBe('wall: got "w99"; must be a wall of this job');
  });
  it("of a job with nothing in it say what to do first", async () => {
    const empty = blankJob("e", "Empty");
    const request = new Request("http://127.0.0.1/?kinds=plan,room,wall,stick,bores,circuits,cuts,tests,notify");
    const r = await papersAsked(request, layHouse(empty), makePlan(empty), [], 1);
    expect(r.ok ? "made" : r.message).toMatch(/nothing of it yet: draw rooms/);
  });
});

describe("the code of a wall sheet", () => {
  const wall = job.walls.find((w) => w.room === "kitchen") ?? job.walls[0]!;
  const at = (url: string, headers: Record<string, string> = {}) =>
    linkOf(new Request(url, { headers }), job.id, h)?.(wall.id) ?? null;
  it("leads to the job where others reach this program, and nowhere on this machine alone", () => {
    expect(at("http://127.0.0.1:4310/x")).toBeNull();
    expect(at("http://localhost:4310/x")).toBeNull();
    expect(at("http://[::1]:4310/x")).toBeNull();
    expect(at("https://lumbet.lan:4310/x")).toBe(`https://lumbet.lan:4310/jobs/tern-cottage?room=${wall.room}`);
    const proxied = { "x-forwarded-host": "jobs.house.lan", "x-forwarded-proto": "https" };
    expect(at("http://127.0.0.1:4310/x", proxied)).toBe(`https://jobs.house.lan/jobs/tern-cottage?room=${wall.room}`);
  });
});
