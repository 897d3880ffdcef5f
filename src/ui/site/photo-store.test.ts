import { describe, expect, it } from "vitest";
import { type KeptPhoto, PhotoStore } from "./photo-store";

const photo = (id: string, at = `2026-11-26T10:00:0${id}Z`): KeptPhoto => ({
  id,
  wall: "w1",
  u: 0,
  v: 0,
  at,
  picture: new Blob(["x"]),
  refused: null,
});

function phone() {
  const kept = new Map<string, KeptPhoto>();
  return {
    kept,
    all: () => Promise.resolve([...kept.values()]),
    put: (p: KeptPhoto) => Promise.resolve(void kept.set(p.id, p)),
    drop: (id: string) => Promise.resolve(void kept.delete(id)),
  };
}

describe("photos taken on site", () => {
  it("wait while nothing answers, and are then sent once each, the oldest first", async () => {
    const keep = phone();
    const server = { off: true, got: [] as string[] };
    const store = new PhotoStore(keep, (p) => {
      if (server.off) return Promise.reject(new Error("no signal"));
      server.got.push(p.id);
      return Promise.resolve({ ok: true as const });
    });
    for (const id of ["2", "1", "3"]) await store.add(photo(id));
    await expect(store.flush()).rejects.toThrow("no signal");
    expect(keep.kept.size).toBe(3);
    server.off = false;
    // Asked twice at once, as a tap and the clock do.
    await Promise.all([store.flush(), store.flush()]);
    expect(server.got).toEqual(["1", "2", "3"]);
    expect(keep.kept.size).toBe(0);
  });
  it("one that is refused stays with its reason, holds up no other, and goes when it is let go", async () => {
    const keep = phone();
    const sent: string[] = [];
    const store = new PhotoStore(keep, (p) => {
      sent.push(p.id);
      return Promise.resolve(p.id === "1" ? { ok: false, message: "the wall is gone" } : { ok: true });
    });
    await store.add(photo("1"));
    await store.add(photo("2"));
    await store.flush();
    await store.flush();
    expect((await store.kept()).map((p) => [p.id, p.refused])).toEqual([["1", "the wall is gone"]]);
    expect(sent).toEqual(["1", "2"]);
    await store.letGo("1");
    expect(await store.kept()).toEqual([]);
  });
});
