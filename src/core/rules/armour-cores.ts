import type { Schools } from "./schools";

/** A core of armoured cable with what it carries on a one-phase circuit, and the sleeve that says so. */
export interface ArmourCore {
  core: "brown" | "blue" | "black" | "grey";
  carries: "line" | "neutral" | "earth" | "spare";
  /** Null where the core's own colour says it. */
  sleeve: "blue" | "green-and-yellow" | null;
}

/**
 * Cores of an armoured cable feeding one phase. Two cores are brown and blue; three brown, black and grey, of which the school says
 * which is neutral and which earth; four have blue too: it is the neutral, and of black and grey one is earth. Source: BS 7671:2018+A2:2022
 * Table 51 for the colours; the choice is argued.
 */
export function armourCoresOf(cores: number, school: Schools["armourCores"]): ArmourCore[] {
  const line: ArmourCore = { core: "brown", carries: "line", sleeve: null };
  const blue: ArmourCore = { core: "blue", carries: "neutral", sleeve: null };
  if (cores <= 2) return [line, blue];
  const grey = school === "grey-neutral";
  const earth = (core: "black" | "grey"): ArmourCore => ({ core, carries: "earth", sleeve: "green-and-yellow" });
  const neutral = (core: "black" | "grey"): ArmourCore => ({ core, carries: "neutral", sleeve: "blue" });
  if (cores === 3) return grey ? [line, earth("black"), neutral("grey")] : [line, neutral("black"), earth("grey")];
  const spare = (core: "black" | "grey"): ArmourCore => ({ core, carries: "spare", sleeve: null });
  return grey ? [line, blue, earth("black"), spare("grey")] : [line, blue, spare("black"), earth("grey")];
}

/** The sleeves that one end of an armoured cable takes. */
export const armourSleeves = (cores: number, school: Schools["armourCores"]): { core: string; sleeve: string }[] =>
  armourCoresOf(cores, school).flatMap(({ core, sleeve }) => (sleeve ? [{ core, sleeve }] : []));
