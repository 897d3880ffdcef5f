import { mkdtempSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, it } from "vitest";
import { leaveAddress, ofConsole, runningServer } from "./console-key";

it("the command line finds the server and is known by the key that only who reads the data folder has", () => {
  const folder = mkdtempSync(join(tmpdir(), "lumbet-console-"));
  expect(runningServer(folder)).toBeNull();
  expect(ofConsole(new Headers())).toBe(false);
  expect(ofConsole(new Headers({ "x-lumbet-console": "" }))).toBe(false);
  writeFileSync(join(folder, "lumbet.address"), "http://127.0.0.1:1\n");
  // As an earlier edition left it.
  expect(runningServer(folder)).toEqual({ address: "http://127.0.0.1:1", headers: {} });
  leaveAddress(folder, "http://127.0.0.1:4310");
  expect(statSync(join(folder, "lumbet.address")).mode & 0o077).toBe(0);
  const found = runningServer(folder)!;
  expect(found.address).toBe("http://127.0.0.1:4310");
  expect(ofConsole(new Headers(found.headers))).toBe(true);
  leaveAddress(folder, "http://127.0.0.1:4310");
  expect(ofConsole(new Headers(found.headers))).toBe(false);
  leaveAddress(folder, "file:///etc/passwd");
  expect(runningServer(folder)).toBeNull();
  rmSync(folder, { recursive: true });
});
