import { describe, expect, it } from "vitest";
import { isOpen, ownPath, toSignIn } from "./open-paths";

describe("addresses without sign-in", () => {
  it("are where people sign in and readers' links, and nothing that only begins like them", () => {
    for (const open of ["/sign-in", "/join/abc", "/sheets/abc", "/certificate", "/sw.js"])
      expect(isOpen(open)).toBe(true);
    for (const shut of ["/", "/jobs/a", "/api/backup", "/sign-inn", "/sheetsx", "/people", "/SIGN-IN"])
      expect(isOpen(shut)).toBe(false);
  });
  it("after signing in one comes back to where one was, never to another's address", () => {
    expect(toSignIn("/jobs/a?stage=points")).toBe("/sign-in?to=%2Fjobs%2Fa%3Fstage%3Dpoints");
    expect(ownPath("/jobs/a?stage=points")).toBe("/jobs/a?stage=points");
    for (const bad of [
      "//evil.example",
      "/\\evil.example",
      "https://evil.example",
      "jobs",
      "",
      null,
      7,
      "/sign-in?to=/",
      "/a\r\nb",
    ])
      expect(ownPath(bad)).toBe("/");
  });
});
