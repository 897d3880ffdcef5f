import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, it } from "vitest";
import { putFirstData } from "./first-data";

it("a prepared database is put where there is none, whole, and never over one that is there", () => {
  const folder = mkdtempSync(join(tmpdir(), "lumbet-first-"));
  const [from, files] = [join(folder, "prepared"), join(folder, "pg")];
  putFirstData(files, from);
  expect(existsSync(files)).toBe(false);
  mkdirSync(join(from, "base"), { recursive: true });
  writeFileSync(join(from, "base", "1"), "x");
  putFirstData(files, from);
  expect(existsSync(files)).toBe(false);
  writeFileSync(join(from, "PG_VERSION"), "17");
  // As a start that was ended in the middle left it.
  mkdirSync(`${files}.part`);
  writeFileSync(join(`${files}.part`, "half"), "x");
  putFirstData(files, from);
  expect(readFileSync(join(files, "base", "1"), "utf8")).toBe("x");
  expect([existsSync(join(files, "half")), existsSync(`${files}.part`)]).toEqual([false, false]);
  writeFileSync(join(files, "base", "1"), "mine");
  putFirstData(files, from);
  expect(readFileSync(join(files, "base", "1"), "utf8")).toBe("mine");
  rmSync(folder, { recursive: true });
});
