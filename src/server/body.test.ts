import { describe, expect, it } from "vitest";
import { bodyUpTo } from "./body";

/** A body that comes in parts without end; `taken` counts them. */
function endless(size: number) {
  const taken = { parts: 0 };
  const body = new ReadableStream<Uint8Array>({
    pull(c) {
      taken.parts++;
      c.enqueue(new Uint8Array(size));
    },
  });
  return { taken, request: new Request("http://localhost/", { method: "POST", body, duplex: "half" } as RequestInit) };
}

describe("the body of a request", () => {
  it("is read whole up to its bound, in the order it comes", async () => {
    const bytes = await bodyUpTo(new Request("http://localhost/", { method: "POST", body: "abc" }), 3);
    expect(new TextDecoder().decode(bytes!)).toBe("abc");
    expect(await bodyUpTo(new Request("http://localhost/", { method: "POST", body: "abcd" }), 3)).toBeNull();
    expect((await bodyUpTo(new Request("http://localhost/", { method: "POST" }), 3))!.length).toBe(0);
  });
  it("one without end is left off at the bound, whatever length it claims", async () => {
    const { taken, request } = endless(1000);
    expect(await bodyUpTo(request, 10_000)).toBeNull();
    expect(taken.parts).toBeLessThan(15);
    const claims = new Request("http://localhost/", { method: "POST", body: "a", headers: { "content-length": "99" } });
    expect(await bodyUpTo(claims, 10)).toBeNull();
  });
});
