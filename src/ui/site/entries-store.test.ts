import { describe, expect, it } from "vitest";
import type { SiteEntry } from "../../core/job/site-entry";
import { EntriesStore, type Send } from "./entries-store";

const line = (id: string): SiteEntry => ({
  id,
  run: "r",
  kind: "done",
  step: "bored",
  text: "",
  by: "Electrician 1",
  at: "2026-03-02T10:00:00Z",
});

/** A phone whose storage holds so many characters. */
function phone(holds = Infinity) {
  const kept = new Map<string, string>();
  return {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => {
      if (v.length > holds) throw new Error("full");
      kept.set(k, v);
    },
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
    for (let i = 0; i < 1200; i++) store.add(line(`e${i}`));
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
    for (const id of ["e0", "e1", "e2"]) store.add(line(id));
    await store.flush();
    expect(at.book.map((e) => e.id)).toEqual(["e0", "e2"]);
    const reloaded = new EntriesStore("j", memory, send);
    expect(reloaded.refused()).toEqual([{ entry: line("e1"), message: "text holds the character NUL" }]);
    expect(reloaded.waiting()).toEqual([]);
    delete bad.e1;
    reloaded.settle("again");
    await reloaded.flush();
    expect([at.book.length, reloaded.refused().length]).toEqual([3, 0]);
    bad.e9 = "no";
    reloaded.add(line("e9"));
    await reloaded.flush();
    reloaded.settle("let-go");
    expect([reloaded.refused(), reloaded.waiting()]).toEqual([[], []]);
  });
  it("a full phone loses no tap: it is kept in the page, told, and sent", async () => {
    const { at, send } = server({ e1: "no" });
    const store = new EntriesStore("j", phone(10), send);
    at.off = true;
    store.add(line("e0"));
    store.add(line("e1"));
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
    store.add(line("e0"));
    const first = store.flush();
    store.add(line("e1"));
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
    refusing.add(line("e2"));
    await refusing.flush();
    expect([refusing.notTaken, refusing.waiting().length]).toEqual(["This job is no longer there.", 1]);
  });
  it("storage with nonsense in it is no line", () => {
    const memory = phone();
    memory.setItem("lumbet-site-j", "{");
    const store = new EntriesStore("j", memory, server().send);
    expect(store.waiting()).toEqual([]);
    store.add(line("e0"));
    expect(store.waiting()).toHaveLength(1);
  });
});

it("no line is nowhere: the record is told before what was sent is dropped here", async () => {
  const at = server();
  const store = new EntriesStore("j", phone(), at.send);
  for (let i = 0; i < 300; i++) store.add(line(`l${i}`));
  const seen: number[] = [];
  await store.flush((book) => seen.push(new Set([...book, ...store.waiting()].map((e) => e.id)).size));
  expect(seen).toEqual([300, 300]);
  expect(store.waiting()).toEqual([]);
});
