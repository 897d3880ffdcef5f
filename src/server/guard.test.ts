import { describe, expect, it } from "vitest";
import { allowedHosts, contentPolicy, refusalOf } from "./guard";

const ask = (method: string, headers: Record<string, string>, path = "/"): number | null =>
  refusalOf({ method, path, header: (n) => headers[n] ?? null }, allowedHosts("tools.example, Other.example"))
    ?.status ?? null;

describe("who may ask", () => {
  it("its own machine by any of its names and any port, and what is named; nobody else's name", () => {
    for (const host of ["127.0.0.1:4310", "localhost", "[::1]:80", "LOCALHOST:1", "tools.example", "other.example:8"])
      expect(ask("GET", { host })).toBeNull();
    for (const host of ["evil.example", "127.0.0.1.evil.example", "localhost.", "", "10.0.0.5:4310"])
      expect(ask("GET", { host })).toBe(421);
    expect(ask("GET", {})).toBe(421);
    expect(refusalOf({ method: "GET", path: "/", header: () => null }, allowedHosts())?.message).toMatch(
      /^host: is missing/,
    );
  });
  it("a host passed on by another counts as little as a foreign one", () => {
    expect(ask("GET", { host: "localhost", "x-forwarded-host": "evil.example" })).toBe(421);
    expect(ask("GET", { host: "localhost", "x-forwarded-host": "tools.example" })).toBeNull();
  });
  it("changes come from its own pages, or from a tool that is no browser", () => {
    const host = "127.0.0.1:4310";
    expect(ask("POST", { host, origin: "http://127.0.0.1:4310" })).toBeNull();
    expect(ask("POST", { host })).toBeNull();
    expect(ask("POST", { host, "sec-fetch-site": "same-origin" })).toBeNull();
    for (const origin of ["http://evil.example", "null", "http://127.0.0.1:4311", "http://localhost:4310"])
      expect(ask("POST", { host, origin })).toBe(403);
    for (const site of ["cross-site", "same-site"]) expect(ask("DELETE", { host, "sec-fetch-site": site })).toBe(403);
    expect(ask("GET", { host, origin: "http://evil.example" })).toBeNull();
  });
  it("no address with a NUL in it", () => {
    expect(ask("GET", { host: "localhost" }, "/jobs/%00")).toBe(400);
    expect(ask("GET", { host: "localhost" }, "/steps?job=%00")).toBe(400);
  });
});

it("a page runs its own scripts and those that carry its number, and is in nobody's frame", () => {
  const policy = contentPolicy("abc");
  expect(policy).toMatch(/script-src 'self' 'nonce-abc';/);
  expect(policy).toMatch(/frame-ancestors 'none'/);
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
});
