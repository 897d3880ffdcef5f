import { defineConfig } from "vitest/config";
import { BaseSequencer, type TestSpecification } from "vitest/node";

/** The files that take longest, in the order they are begun in: so none of them is left over to run alone at the end. */
const long = ["access", "journey", "routes", "lighting", "hand", "survey", "ends", "kept", "containment", "day"];

class LongFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification): number => {
      const n = long.findIndex((name) => moduleId.endsWith(`/${name}.e2e.ts`));
      return n < 0 ? long.length : n;
    };
    return Promise.resolve([...files].sort((a, b) => rank(a) - rank(b) || (a.moduleId < b.moduleId ? -1 : 1)));
  }
}

export default defineConfig({
  test: {
    include: ["e2e/**/*.e2e.ts"],
    testTimeout: 600_000,
    hookTimeout: 600_000,
    fileParallelism: true,
    maxWorkers: 2,
    sequence: { sequencer: LongFirst },
  },
});
