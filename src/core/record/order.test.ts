import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { SiteEntry } from "../job/site-entry";
import { stateOf } from "./entries";
import { inOrder, lastSeen } from "./order";

const line = (id: string, at: string, more: Partial<SiteEntry> = {}): SiteEntry => ({
  id,
  run: "r",
  kind: "done",
  step: "bored",
  text: "",
  by: "Electrician 1",
  at: `2026-03-02T${at}:00Z`,
  ...more,
});
const ids = (list: readonly SiteEntry[]): string =>
  inOrder(list)
    .map((e) => e.id)
    .join(" ");

describe("order of the record", () => {
  it("a phone an hour fast ticks, and what is then taken back at the desk counts", () => {
    const fast = line("tick", "11:00");
    const back = line("back", "10:05", { kind: "undone", after: lastSeen([fast], "r", "bored") });
    expect(back.after).toBe("tick");
    expect(stateOf([fast, back], "r").bored.done).toBe(false);
    const again = line("again", "10:06", { after: lastSeen([fast, back], "r", "bored") });
    expect(ids([again, back, fast])).toBe("tick back again");
    expect(stateOf([again, back, fast], "r").bored).toMatchObject({ done: true, at: again.at });
  });
  it("lines of earlier editions, that name none, go by their time and then by their id", () => {
    expect(ids([line("b", "10:00"), line("c", "09:00"), line("a", "10:00")])).toBe("c a b");
  });
  it("a line that names what is not there, or itself, or goes round, goes by its time", () => {
    expect(ids([line("a", "10:00", { after: "gone" }), line("b", "09:00", { after: "b" })])).toBe("b a");
    const round = [line("a", "10:00", { after: "b" }), line("b", "09:00", { after: "a" })];
    expect(inOrder(round)).toHaveLength(2);
  });
  it("of another run or step, a note or a reading is not what a tick follows", () => {
    const list = [
      line("other", "10:00", { run: "q" }),
      line("clip", "10:00", { step: "clipped" }),
      line("cannot", "10:00", { kind: "cannot" }),
    ];
    expect(lastSeen(list, "r", "bored")).toBeUndefined();
    expect(lastSeen([...list, line("mine", "08:00")], "r", "bored")).toBe("mine");
  });
  it("no line stands before one it followed, however the clocks go and the lines come in", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ minute: fc.integer({ min: 0, max: 59 }), follows: fc.nat({ max: 20 }) }), {
          maxLength: 20,
        }),
        fc.infiniteStream(fc.nat()),
        (made, mix) => {
          const list = made.map((m, i) =>
            line(`e${i}`, `10:${String(m.minute).padStart(2, "0")}`, m.follows < i ? { after: `e${m.follows}` } : {}),
          );
          const shuffled = list.map((e) => [mix.next().value as number, e] as const).sort((a, b) => a[0] - b[0]);
          const out = inOrder(shuffled.map(([, e]) => e)).map((e) => e.id);
          expect(out).toHaveLength(list.length);
          for (const e of list) if (e.after) expect(out.indexOf(e.after)).toBeLessThan(out.indexOf(e.id));
          expect(inOrder(list).map((e) => e.id)).toEqual(out);
        },
      ),
    );
  });
});
