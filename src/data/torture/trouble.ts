import fs from "node:fs";
import { syncBuiltinESMExports } from "node:module";
import type { Chance } from "./chance";

/** What goes wrong round a process that stores things, beside that it is killed. */
export const TROUBLES = ["none", "slow disk", "clock jumps"] as const;

/** Makes the trouble in this process, before anything else of it is loaded. */
export function make(trouble: string, chance: Chance): void {
  if (trouble === "slow disk") slowDisk(chance);
  if (trouble === "clock jumps") clockJumps(chance);
}

/** Some writes and syncs take their time. */
function slowDisk(chance: Chance): void {
  const wait = new Int32Array(new SharedArrayBuffer(4));
  for (const name of ["writeSync", "fsyncSync"] as const) {
    const real = fs[name] as (...args: unknown[]) => unknown;
    (fs as unknown as Record<string, unknown>)[name] = (...args: unknown[]): unknown => {
      if (chance() < 0.1) Atomics.wait(wait, 0, 0, chance() * 40);
      return real(...args);
    };
  }
  syncBuiltinESMExports();
}

/** The clock goes hours or days forward and back, now and then. */
function clockJumps(chance: Chance): void {
  const Real = Date;
  let off = 0;
  const now = (): number => {
    if (chance() < 0.02) off = (chance() - 0.5) * 6 * 86_400_000;
    return Real.now() + off;
  };
  globalThis.Date = class extends Real {
    constructor(...args: [] | [number | string | Date]) {
      super(args.length ? (args[0] as number) : now());
    }
    static override now = now;
  } as DateConstructor;
}
