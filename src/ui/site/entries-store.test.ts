import { describe, expect, it } from "vitest";
import type { SiteEntry } from "../../core/job/site-entry";
import { EntriesStore, type KeptLine, type LinesKeep, type Send } from "./entries-store";

const line = (id: string): SiteEntry => ({
  id,
  run: "r",
  kind: "done",
  step: "bored",
  text: "",
  by: "Electrician 1",
  at: "2026-03-02T10:00:00Z",
});

/** A phone whose database holds so many lines. */
function phone(holds = Infinity): LinesKeep & { kept: Map<string, KeptLine> } {
  const kept = new Map<string, KeptLine>();
  return {
    kept,
    all: async () => [...kept.values()],
    put: async (l) => {
      if (!kept.has(l.entry.id) && kept.size >= holds) throw new Error("full");
      kept.set(l.entry.id, l);
    },
    drop: async (ids) => ids.forEach((id) => kept.delete(id)),
  };
}
/** A server that keeps lines, refuses those named, and is off while `off`. */
function server(bad: Record<string, string> = {}) {
  const book: SiteEntry[] = [];
  const at = { off: false, most: 0, book };
  const send: Send = async (_job, entries) => {
    if (at.off) throw new Error("no signal");
    at.most = Math.max(at.most, entries.length);
    const refused = entries.filter((e) => bad[e.id]).map((e) => ({ id: e.id, message: bad[e.id]! }));
    for (const e of entries) if (!bad[e.id] && !book.some((b) => b.id === e.id)) book.push(e);
    return { ok: true, siteBook: [...book], refused };
  };
  return { at, send };
}

describe("lines kept on the phone", () => {
  it("1 200 made without a signal are all sent when there is one, some at a time and in their order", async () => {
    const { at, send } = server();
    const store = new EntriesStore("j", phone(), send);
    at.off = true;
    for (let i = 0; i < 1200; i++) await store.add(line(`e${i}`));
    expect(await store.flush()).toBeNull();
    expect(store.waiting()).toHaveLength(1200);
    at.off = false;
    expect((await store.flush())!.map((e) => e.id)).toEqual(Array.from({ length: 1200 }, (_, i) => `e${i}`));
    expect([store.waiting().length, at.most]).toEqual([0, 200]);
  });
  it("one that is refused holds up no other, stays with its reason over a reload, and is let go or sent again by a person", async () => {
    const memory = phone();
    const bad: Record<string, string> = { e1: "text holds the character NUL" };
    const { at, send } = server(bad);
    const store = new EntriesStore("j", memory, send);
    for (const id of ["e0", "e1", "e2"]) await store.add(line(id));
    await store.flush();
    expect(at.book.map((e) => e.id)).toEqual(["e0", "e2"]);
    const reloaded = new EntriesStore("j", memory, send);
    await reloaded.open();
    expect(reloaded.refused()).toEqual([{ entry: line("e1"), message: "text holds the character NUL" }]);
    expect(reloaded.waiting()).toEqual([]);
    delete bad.e1;
    await reloaded.settle("again");
    await reloaded.flush();
    expect([at.book.length, reloaded.refused().length]).toEqual([3, 0]);
    bad.e9 = "no";
    await reloaded.add(line("e9"));
    await reloaded.flush();
    await reloaded.settle("let-go");
    expect([reloaded.refused(), reloaded.waiting()]).toEqual([[], []]);
  });
  it("a full phone loses no tap: it is kept in the page, told, and sent", async () => {
    const { at, send } = server({ e1: "no" });
    const store = new EntriesStore("j", phone(0), send);
    at.off = true;
    await store.add(line("e0"));
    await store.add(line("e1"));
    await store.flush();
    expect([store.waiting().map((e) => e.id), store.full]).toEqual([["e0", "e1"], true]);
    at.off = false;
    await store.flush();
    expect([at.book.map((e) => e.id), store.full, store.refused().map((r) => r.entry.id)]).toEqual([
      ["e0"],
      false,
      ["e1"],
    ]);
  });
  it("what is tapped while lines are on their way is sent after them; the server's own refusal is told and keeps all", async () => {
    const memory = phone();
    let answer: () => void = () => undefined;
    const sent: string[][] = [];
    const store: EntriesStore = new EntriesStore("j", memory, async (_j, entries) => {
      sent.push(entries.map((e) => e.id));
      await new Promise<void>((done) => (answer = done));
      return { ok: true, siteBook: [], refused: [] };
    });
    await store.add(line("e0"));
    const first = store.flush();
    await store.add(line("e1"));
    expect(await store.flush()).toBeNull();
    answer();
    await new Promise((done) => setTimeout(done));
    answer();
    await first;
    expect(sent).toEqual([["e0"], ["e1"]]);
    const refusing = new EntriesStore("j", memory, async () => ({
      ok: false,
      message: "This job is no longer there.",
    }));
    await refusing.add(line("e2"));
    await refusing.flush();
    expect([refusing.notTaken, refusing.waiting().length]).toEqual(["This job is no longer there.", 1]);
  });
  it("counts from the tap, before the phone has it; sent while it is put away it does not wait there", async () => {
    const { at, send } = server();
    const memory = phone();
    let put: () => void = () => undefined;
    const slow: LinesKeep = { ...memory, put: (l) => new Promise((done) => (put = () => done(memory.put(l)))) };
    const store = new EntriesStore("j", slow, send);
    const added = store.add(line("e0"));
    expect([store.waiting().length, memory.kept.size]).toEqual([1, 0]);
    await store.flush();
    put();
    await added;
    expect([at.book.length, store.waiting().length, memory.kept.size]).toEqual([1, 0, 0]);
  });
  it("two pages of one job on one phone: neither loses a line of the other, and what one sent the other drops", async () => {
    const { at, send } = server();
    const memory = phone();
    at.off = true;
    const [one, two] = [new EntriesStore("j", memory, send), new EntriesStore("j", memory, send)];
    await one.add(line("a"));
    await two.add(line("b"));
    await one.open();
    expect(one.waiting().map((e) => e.id)).toEqual(["a", "b"]);
    at.off = false;
    await one.flush();
    await two.open();
    expect([two.waiting(), at.book.map((e) => e.id), memory.kept.size]).toEqual([[], ["a", "b"], 0]);
  });
  it("a line made, or sent, while the phone is read is neither lost nor back", async () => {
    const { send } = server();
    const memory = phone();
    let read: () => void = () => undefined;
    const slow: LinesKeep = {
      ...memory,
      all: () => {
        const now = [...memory.kept.values()];
        return new Promise((done) => (read = () => done(now)));
      },
    };
    const store = new EntriesStore("j", slow, send);
    await store.add(line("sent"));
    const opening = store.open();
    await store.flush();
    await store.add(line("made"));
    read();
    await opening;
    expect(store.waiting().map((e) => e.id)).toEqual(["made"]);
  });
  it("a database that cannot be read is no line lost: what is tapped stays in the page", async () => {
    const broken: LinesKeep = {
      all: () => Promise.reject(new Error("gone")),
      put: () => Promise.reject(new Error("gone")),
      drop: () => Promise.reject(new Error("gone")),
    };
    const { at, send } = server();
    const store = new EntriesStore("j", broken, send);
    await store.add(line("e0"));
    await store.open();
    expect([store.waiting().length, store.full]).toEqual([1, true]);
    await store.flush();
    expect([at.book.length, store.waiting().length]).toEqual([1, 0]);
  });
});

it("no line is nowhere: the record is told before what was sent is dropped here", async () => {
  const at = server();
  const store = new EntriesStore("j", phone(), at.send);
  for (let i = 0; i < 300; i++) await store.add(line(`l${i}`));
  const seen: number[] = [];
  await store.flush((book) => seen.push(new Set([...book, ...store.waiting()].map((e) => e.id)).size));
  expect(seen).toEqual([300, 300]);
  expect(store.waiting()).toEqual([]);
});
