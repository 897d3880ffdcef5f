import type { House } from "../house/house";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { type BuyingLine, buyingCost, buyingList } from "../record/buying";
import { clockText } from "../record/calendar";
import { type Now, byDate, daysOf } from "../record/day";
import { leftWords, taskName } from "../words/tasks";
import { amountWords, moneyWords, packWords } from "../words/supplies";
import type { Block, Paper } from "./paper";

/** What is still to buy, in the cheapest packs. */
export function buyPaper(h: House, plan: Plan, siteBook: readonly SiteEntry[]): Paper {
  const open = buyingList(h, plan, siteBook).filter((l) => l.toBuy > 0);
  const { price, unpriced } = buyingCost(open);
  const row = (l: BuyingLine): string[] => [
    l.item,
    l.size,
    amountWords(l.needed, l.unit),
    amountWords(l.there, l.unit),
    amountWords(l.toBuy, l.unit),
    packWords(l),
    l.bought?.price != null ? moneyWords(l.bought.price) : "–",
    "",
  ];
  return {
    kind: "buy",
    id: "all",
    title: "Buying list",
    about: "what the plan needs less what is on the van and on the drums",
    landscape: true,
    blocks: [
      {
        kind: "table",
        heads: ["Item", "Size", "Needed", "There", "To buy", "Packs", "Price", "Got"],
        shares: [22, 24, 9, 9, 9, 16, 7, 4],
        figures: [2, 3, 4, 6],
        none: "Nothing is to be bought.",
        rows: open.map(row),
      },
      ...(open.length
        ? [
            {
              kind: "text",
              text: `${moneyWords(price)} by the price list of this job${unpriced ? `, and ${unpriced} without a price` : ""}.`,
            } as const,
          ]
        : []),
    ],
  };
}

/** The work that is left, day by day from a moment on: who does what when, each with a box to tick. */
export function dayPaper(h: House, plan: Plan, siteBook: readonly SiteEntry[], now: Now): Paper {
  const days = daysOf(h, plan, siteBook, now);
  const tasks = new Map(days.tasks.map((t) => [t.id, t]));
  const { people } = h.job.work;
  const list = byDate(days);
  return {
    kind: "day",
    id: "all",
    title: "Day list",
    about: `from ${dayWords(now.date)}, ${clockText(now.minute)} · minutes are usual ones, and your own where they are given`,
    landscape: false,
    blocks: list.length
      ? list.flatMap(({ date, slots }): Block[] => [
          { kind: "text", look: "heading", text: dayWords(date) },
          {
            kind: "table",
            heads: ["From", "Until", "Who", "What", "Left", "Noise", "Done"],
            shares: [9, 9, 16, 38, 14, 8, 6],
            figures: [0, 1],
            none: "",
            rows: slots.map((s) => {
              const t = tasks.get(s.task)!;
              return [
                clockText(s.from),
                clockText(s.until),
                people[s.person] ?? "",
                taskName(h, t),
                leftWords(t),
                t.noisy ? "noisy" : "",
                "",
              ];
            }),
          },
        ])
      : [{ kind: "text", text: "Nothing is left to do." }],
  };
}

/** "Friday 27 November 2026" of "2026-11-27". */
export function dayWords(date: string): string {
  const d = new Date(`${date}T12:00:00Z`);
  const at = (options: Intl.DateTimeFormatOptions): string =>
    d.toLocaleDateString("en-GB", { ...options, timeZone: "UTC" });
  return `${at({ weekday: "long" })} ${at({ day: "numeric", month: "long", year: "numeric" })}`;
}
