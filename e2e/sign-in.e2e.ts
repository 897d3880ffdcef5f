import { readFileSync } from "node:fs";
import { request } from "node:https";
import { join } from "node:path";
import type { Page } from "puppeteer-core";
import { describe, expect, it } from "vitest";
import { desk } from "./desk";
import { faultsIn } from "./faults";
import { handsOf } from "./hands";

const { app, page } = desk({ lan: true });
const PASSPHRASE = "seven brass screws lost";

/** Status and location of an address, asked as by no browser, trusting the server's own authority and nothing else. */
const asked = (path: string, method = "GET"): Promise<{ status: number; location: string }> =>
  new Promise((done, fail) => {
    const ca = readFileSync(join(app().data, "tls", "authority.crt"));
    const r = request(`${app().address}${path}`, { method, ca }, (a) => {
      a.resume();
      a.on("end", () => done({ status: a.statusCode ?? 0, location: a.headers.location ?? "" }));
    });
    r.on("error", fail);
    r.end();
  });

async function fill(p: Page, fields: Record<string, string>): Promise<void> {
  for (const [name, value] of Object.entries(fields)) {
    await p.waitForSelector(`[name=${name}]`);
    await p.$eval(`[name=${name}]`, (e) => (e as HTMLInputElement).select());
    await p.type(`[name=${name}]`, value);
  }
  await p.keyboard.press("Enter");
  await p.waitForFunction(() => location.pathname !== "/sign-in");
}
/** A device of its own: nothing that another is signed in with. */
async function device(): Promise<Page> {
  const p = await (await app().browser.createBrowserContext()).newPage();
  p.setDefaultTimeout(180_000);
  await p.setViewport({ width: 390, height: 844 });
  return p;
}

describe("in a local network", () => {
  it("the console's code makes the owner, who adds people and invites a phone; each may what their role says", async () => {
    const hands = handsOf(page);
    // Nothing opens before somebody is signed in, and the certificate is of the server's own authority.
    for (const path of ["/", "/jobs/tern-cottage", "/people", "/rules"])
      expect((await asked(path)).location).toMatch(new RegExp(`/sign-in`));
    for (const path of ["/api/jobs/tern-cottage/file", "/api/backup", "/api/me", "/api/catalogue/cables"])
      expect((await asked(path)).status).toBe(401);
    expect((await asked("/api/jobs/tern-cottage/pictures", "POST")).status).toBe(401);

    const code = /sign-in\?code=(\w+)/.exec(app().said())![1]!;
    await page().goto(`${app().address}/jobs/tern-cottage?stage=points`);
    await hands.see("Who runs this Lumbet?");
    expect(await faultsIn(page())).toEqual([]);
    await page().type("[name=code]", "wrongcode123");
    await page().type("[name=name]", "Ona Reeve");
    await page().type("[name=passphrase]", PASSPHRASE);
    await page().keyboard.press("Enter");
    await hands.see("Code is not the one that this server's console shows");
    await fill(page(), { code });
    // Where one wanted to go, one is.
    expect(new URL(page().url()).pathname).toBe("/jobs/tern-cottage");

    await page().goto(`${app().address}/people`);
    await hands.press("Add a person");
    await hands.type("Name", "Wil Ash");
    await page().select('[data-field="Role"]', "apprentice");
    await hands.type("Passphrase", "short");
    await page().click("[data-do]");
    await hands.see("Passphrase has 5 characters; it must have 10 to 200");
    await hands.type("Passphrase", PASSPHRASE);
    await page().click("[data-do]");
    await page().waitForSelector('[data-person="Wil Ash"]');

    await hands.press("Invite a device of Wil Ash");
    const link = await page().waitForSelector("[data-qr^=http]");
    const invitation = await link!.evaluate((e) => new URL((e as HTMLElement).dataset.qr!).pathname);
    await page().waitForSelector("[data-qr] svg");
    expect(await faultsIn(page())).toEqual([]);
    const phone = await device();
    await phone.goto(`${app().address}${invitation}`);
    const thumb = handsOf(() => phone);
    await thumb.see("Sign this device in");
    expect(await faultsIn(phone)).toEqual([]);
    await thumb.press("Sign this device in");
    await phone.waitForFunction(() => location.pathname === "/");
    const second = await device();
    await second.goto(`${app().address}${invitation}`);
    await handsOf(() => second).press("Sign this device in");
    await handsOf(() => second).see("used already, is too old");

    // The apprentice looks at the desk and writes the record, under the name of who is signed in.
    await phone.goto(`${app().address}/jobs/tern-cottage?stage=points&room=kitchen`);
    await thumb.see("you are signed in as an apprentice");
    await phone.goto(`${app().address}/jobs/tern-cottage/site?show=runs`);
    await phone.waitForSelector("li[data-run]");
    expect(
      await phone.$eval("main input", (e) => [(e as HTMLInputElement).value, (e as HTMLInputElement).readOnly]),
    ).toEqual(["Wil Ash", true]);
    const tick = async (): Promise<void> => phone.click("li[data-run] > button:last-child");
    await tick();
    await thumb.see("all sent");

    // Signed out by the owner: what is tapped waits, in words, and goes when somebody is signed in again.
    await page().goto(`${app().address}/people`);
    await hands.press("Sign out A computer, Linux of Wil Ash");
    await hands.see("That device is signed out");
    await tick();
    await phone.waitForSelector("[data-signed-out]");
    expect(await phone.$eval("[data-to-send]", (e) => (e as HTMLElement).dataset.toSend)).toBe("1");
    const again = await phone.browserContext().newPage();
    await again.goto(`${app().address}/sign-in`);
    await fill(again, { name: "wil ash", passphrase: PASSPHRASE });
    await again.close();
    await phone.bringToFront();
    await phone.waitForSelector('[data-to-send="0"]');
    const book = await page().evaluate(async () =>
      ((await (await fetch("/api/jobs/tern-cottage/file")).json()) as { siteBook: { by: string }[] }).siteBook.map(
        (e) => e.by,
      ),
    );
    expect(book).toEqual(["Wil Ash", "Wil Ash"]);
  });

  it("a reader's link opens the wall sheets and nothing else, until it is taken back", async () => {
    const hands = handsOf(page);
    await page().goto(`${app().address}/people`);
    if (page().url().includes("/sign-in")) await fill(page(), { name: "Ona Reeve", passphrase: PASSPHRASE });
    await page().waitForSelector("[data-links] input");
    await page().type("[data-links] input", "the plasterer");
    await hands.press("Make a link");
    const link = await page().waitForSelector("[data-qr^=http]");
    const path = await link!.evaluate((e) => new URL((e as HTMLElement).dataset.qr!).pathname);
    const reader = await device();
    await reader.goto(`${app().address}${path}`);
    await reader.waitForSelector('[data-sheet="Kitchen"] svg');
    await handsOf(() => reader).see("isolated and proved dead");
    await handsOf(() => reader).see("Kitchen, wall 2: not released");
    expect(await reader.$$("button, form")).toHaveLength(0);
    expect(await faultsIn(reader)).toEqual([]);
    // One wall by itself, with what lies in it and how to isolate; nothing to print or change.
    await handsOf(() => reader).press("Kitchen, wall 2");
    await reader.waitForSelector('[data-paper^="wall "]');
    await handsOf(() => reader).see("A detector that stays silent proves nothing");
    expect(await reader.$$("button, form, a[download]")).toHaveLength(0);
    await reader.goto(`${app().address}/jobs/tern-cottage`);
    expect(new URL(reader.url()).pathname).toBe("/sign-in");
    await page().keyboard.press("Escape");
    await hands.press("Take back the link for the plasterer");
    await hands.see("opens nothing any more");
    expect((await reader.goto(`${app().address}${path}`))!.status()).toBe(404);
  });
});
