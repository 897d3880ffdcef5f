import type { ElementHandle, Page } from "puppeteer-core";

/** What a person does with a page: read, press, type; each waits until it can. */
export function handsOf(page: () => Page) {
  const see = (words: string | RegExp): Promise<unknown> =>
    page().waitForFunction(
      (source, flags) => new RegExp(source, flags).test(document.body.innerText),
      { timeout: 180_000 },
      typeof words === "string" ? words.replace(/[.*+?^${}()|[\]\\]/g, "\\$&") : words.source,
      "i",
    );
  const field = (name: string): string => `[data-field="${name}"]`;
  return {
    see,
    text: (selector: string): Promise<string> => page().$eval(selector, (e) => (e as HTMLElement).innerText),
    /** Pressed when it stands still: a page that is still coming together moves what the hand goes for. */
    press: async (name: string): Promise<void> => {
      const named = `::-p-xpath(//*[self::button or self::a][contains(normalize-space(.), "${name}") or contains(@aria-label, "${name}")])`;
      const b = (await page().waitForSelector(named, { timeout: 180_000 })) as ElementHandle<HTMLElement>;
      await b.evaluate((e) => e.scrollIntoView({ block: "center" }));
      await page().locator(named).setTimeout(180_000).click();
    },
    /** Puts a point of the palette on the picked wall. */
    place: async (name: string): Promise<void> => {
      await page().waitForSelector("[data-palette]");
      await page().click(`::-p-xpath(//*[@data-palette]//button[contains(., "${name}")])`);
    },
    stored: (): Promise<unknown> => page().waitForSelector('[data-storing="stored"]', { timeout: 180_000 }),
    /** Types into a field in place of what is there, and Enter. */
    type: async (name: string, value: string): Promise<void> => {
      await page().waitForSelector(field(name));
      await page().focus(field(name));
      await page().$eval(field(name), (e) => (e as HTMLInputElement).select());
      await page().keyboard.type(value);
      await page().keyboard.press("Enter");
    },
    /** Chooses from a list by the words of the choice. */
    choose: async (name: string, words: string): Promise<void> => {
      await page().waitForFunction(
        (f, w) => [...(document.querySelector<HTMLSelectElement>(f)?.options ?? [])].some((o) => o.text.includes(w)),
        { timeout: 180_000 },
        field(name),
        words,
      );
      const value = await page().$eval(
        field(name),
        (e, w) => [...(e as HTMLSelectElement).options].find((o) => o.text.includes(w))!.value,
        words,
      );
      await page().select(field(name), value);
    },
    key: async (key: string, held: "Control" | "Shift" | null = null): Promise<void> => {
      if (held) await page().keyboard.down(held);
      await page().keyboard.press(key as "a");
      if (held) await page().keyboard.up(held);
    },
  };
}
