import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import type { ElementHandle, Page } from "puppeteer-core";
import { afterAll, afterEach, beforeAll, beforeEach, expect } from "vitest";
import type { Job } from "../src/core/job/model";
import { handsOf } from "./hands";
import { type Running, type StartOptions, start } from "./start";

/** A house of `e2e/houses`, as far as a journey needs it; "demo" is the demo job. */
export type House = "demo" | "one-room" | "heron-walked" | "heron-floors" | "heron-points" | "heron-wired";

/** A file of its own in a folder of its own. */
export const fileOf = (name: string, content: string | Buffer): string => {
  const path = join(mkdtempSync(join(tmpdir(), "lumbet-file-")), name);
  writeFileSync(path, content);
  return path;
};

/**
 * One server for the file, and for every test a page of its own and jobs of its own, so that a journey that fails fells no
 * other. A fault in the page fails the test it happened in.
 */
export function desk(options?: StartOptions) {
  let app: Running;
  let page: Page;
  const faults: string[] = [];
  beforeAll(async () => {
    app = await start(options);
  });
  afterAll(async () => app?.stop());
  beforeEach(async () => {
    page = await app.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    page.on("pageerror", (e) => faults.push((e as Error).message));
  });
  afterEach(async () => {
    await page.close();
    expect(faults.splice(0)).toEqual([]);
  });
  const hands = handsOf(() => page);
  const jobId = (): string => new URL(page.url()).pathname.split("/")[2]!;
  const read = async (path: string): Promise<string> => (await fetch(`${app.address}${path}`)).text();
  /** What was done on the page is no longer on its way to the server. */
  const arrived = async (): Promise<void> => {
    if (await page.$("[data-storing]")) await page.waitForSelector('[data-storing]:not([data-storing="storing"])');
  };
  const upload = async (selector: string, path: string): Promise<void> =>
    ((await page.waitForSelector(selector)) as ElementHandle<HTMLInputElement>).uploadFile(path);
  return {
    ...hands,
    app: (): Running => app,
    page: (): Page => page,
    jobId,
    upload,
    read,
    /** Something the server gives of the job on the page, such as "boring.csv". */
    given: async (what: string, id = jobId()): Promise<string> => {
      await arrived();
      return read(`/api/jobs/${id}/${what}`);
    },
    /** The job of the page as the server has it. */
    job: async (): Promise<Job> => {
      await arrived();
      return (JSON.parse(await read(`/api/jobs/${jobId()}/file`)) as { job: Job }).job;
    },
    /** Brings a house in as a new job and opens it, at a stage and room such as "stage=points&room=kitchen". */
    open: async (house: House, query = "stage=survey"): Promise<string> => {
      const file =
        house === "demo"
          ? fileOf("demo.json", await read("/api/jobs/tern-cottage/file"))
          : resolve("e2e/houses", `${house}.json`);
      await page.goto(app.address);
      await upload("[data-file=import]", file);
      await page.waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
      const id = jobId();
      await page.goto(`${app.address}/jobs/${id}?${query}`);
      await page.waitForSelector("[data-storing]");
      return id;
    },
    /** Picks a room of the job on the page by its name. */
    room: async (name: string): Promise<void> => {
      const rooms = (JSON.parse(await read(`/api/jobs/${jobId()}/file`)) as { job: Job }).job.rooms;
      await page.waitForSelector("[data-room]");
      await page.select("[data-room]", rooms.find((r) => r.name === name)!.id);
    },
    /** Focuses a point by its label. */
    focusPoint: async (label: string): Promise<void> => {
      await page.waitForSelector(`[data-point-tag="${label}"]`);
      await page.$eval(`[data-point-tag="${label}"]`, (e) => (e as unknown as SVGElement).focus());
    },
  };
}
