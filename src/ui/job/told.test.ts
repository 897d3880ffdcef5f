import { afterEach, expect, it, vi } from "vitest";
import { type ToldOf, whenTold } from "./told";

afterEach(() => vi.unstubAllGlobals());

it("however many listen there is one stream, none while the page is not seen, and none after the last has left", () => {
  const open = new Set<{ url: string; onmessage?: (e: { data: string }) => void }>();
  vi.stubGlobal(
    "EventSource",
    class {
      onmessage?: (e: { data: string }) => void;
      constructor(readonly url: string) {
        open.add(this);
      }
      close(): void {
        open.delete(this);
      }
    },
  );
  let seen: (() => void) | undefined;
  const page = {
    hidden: false,
    addEventListener: (_: string, f: () => void) => (seen = f),
    removeEventListener: () => (seen = undefined),
  };
  vi.stubGlobal("document", page);
  const got: ToldOf[][] = [[], []];
  const leave = got.map((list) => whenTold("j", (of) => list.push(of)));
  expect([...open].map((e) => e.url)).toEqual(["/api/jobs/j/changes"]);
  for (const data of ["job", "nonsense", "record"]) [...open][0]!.onmessage!({ data });
  expect(got).toEqual([
    ["job", "record"],
    ["job", "record"],
  ]);
  page.hidden = true;
  seen!();
  expect(open.size).toBe(0);
  page.hidden = false;
  seen!();
  expect(open.size).toBe(1);
  leave[0]!();
  [...open][0]!.onmessage!({ data: "any" });
  expect(got.map((l) => l.length)).toEqual([2, 3]);
  leave[1]!();
  expect([open.size, seen]).toEqual([0, undefined]);
});
