import { existsSync } from "node:fs";
import { join } from "node:path";
import { expect, it } from "vitest";
import { judgedRules } from "../../rules/book";
import { groups, rulesOf } from "./by-hand.fixture";

it("every rule that judges is in one group, and every group has its file", () => {
  const names = Object.keys(groups) as (keyof typeof groups)[];
  expect(names.flatMap(rulesOf).sort()).toEqual([...judgedRules].sort());
  expect(names.filter((g) => !existsSync(join(import.meta.dirname, `${g}.test.ts`)))).toEqual([]);
});
