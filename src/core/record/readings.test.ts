import { describe, expect, it } from "vitest";
import { type SiteEntry, readingWords, siteEntrySchema } from "../job/site-entry";
import { isRead, lastReading, lineOfNotRead, readingsHere } from "./readings";

const entry = (run: string, at: string, what: string, value: number): SiteEntry =>
  siteEntrySchema.parse({
    id: `${run} ${at} ${what}`,
    run,
    kind: "reading",
    step: null,
    by: "A",
    at: `2026-11-26T${at}:00Z`,
    reading: { what, value, unit: "N·m" },
  });

describe("readings in the record", () => {
  const book = [
    entry("r1", "10:00", "Torque, the way", 2.5),
    entry("r1", "09:00", "Torque, the way", 2),
    entry("r1", "11:00", "Torque, the isolating switch", 3),
    entry("r2", "12:00", "Torque, the way", 9),
  ];
  it("the last of its name on those runs stands, whatever order the lines came in", () => {
    expect(lastReading(book, new Set(["r1"]), "Torque, the way")).toMatchObject({ value: 2.5, by: "A" });
    expect(lastReading(book, new Set(["r1", "r2"]), "Torque, the way")!.value).toBe(9);
    expect(lastReading(book, new Set(["r1"]), "R1 + R2")).toBeNull();
    expect(readingWords(book[0]!.reading!)).toBe("Torque, the way 2.5 N·m");
  });
  it("a line of the kind holds a reading, and no other line does", () => {
    const { reading, ...without } = book[0]!;
    const refused = (x: unknown): string => siteEntrySchema.safeParse(x).error?.issues[0]?.message ?? "taken";
    expect(refused(without)).toMatch(/a line of the kind "reading" has a reading/);
    expect(refused({ ...without, kind: "note", reading })).toMatch(/and no other line/);
    expect(refused({ ...without, reading: { ...reading, value: -1 } })).not.toBe("taken");
    expect(refused(book[0])).toBe("taken");
  });
});

describe("what a card of guided work asks for", () => {
  const what = "Torque, the outlet";
  const taken = { ...entry("r1", "10:00", what, 2), mark: "end:s1" };
  const end = { run: "r1", at: "s1", entries: [taken] };
  it("is read at its own end, and not by a reading at the other end of the run, of another run or name", () => {
    expect(isRead(end, what)).toBe(true);
    expect(isRead({ ...end, at: "s2" }, what)).toBe(false);
    expect(isRead({ ...end, run: "r2" }, what)).toBe(false);
    expect(isRead(end, "Torque, the switch")).toBe(false);
    expect(readingsHere({ ...end, at: null }, what)).toEqual([taken]);
  });
  it("of a line that names no end is of either, as earlier editions wrote it", () => {
    expect(isRead({ ...end, at: "s2", entries: [entry("r1", "10:00", what, 2)] }, what)).toBe(true);
  });
  it("is passed over with a reason alone, which stands in the record", () => {
    const none = { ...end, entries: [] };
    expect(isRead(none, what)).toBe(false);
    const line = lineOfNotRead(none, what, "No instrument here");
    expect(line).toEqual({ run: "r1", kind: "note", text: `${what}: not read, no instrument here`, mark: "end:s1" });
    const e = siteEntrySchema.parse({ ...line, id: "n", step: null, by: "A", at: "2026-11-26T10:00:00Z" });
    expect(isRead({ ...none, entries: [e] }, what)).toBe(true);
    expect(isRead({ ...none, at: "s2", entries: [e] }, what)).toBe(false);
    expect(readingsHere({ ...none, entries: [e] }, what)).toEqual([]);
  });
});
