import { figure, mm } from "../base/figures";
import { externalLoop, mustCarry } from "../trades/circuits/check-circuit";
import type { LaidCircuit } from "../trades/circuits/laid-circuit";
import { conductorResistance } from "../rules/resistance";
import { methodNames } from "../rules/ratings";

/** What the weakest leg of a circuit carries against what it must, in one line. */
export function carriesWords(x: LaidCircuit): string {
  const { iz, worstLeg } = x.result;
  const l = x.legs[worstLeg]!;
  const least = mustCarry(x.input, l);
  const must =
    l.fuse !== undefined
      ? `the fuse lets ${mm(least)} A through`
      : least < x.input.device.rating
        ? `a leg of a ring carries ${mm(least)} A`
        : `the device is ${mm(least)} A`;
  const with_ = l.grouped > 1 ? `, ${l.grouped} circuits together` : "";
  const through = l.insulated > 0 ? `, ${mm(l.insulated)} through insulation` : "";
  return `Carries ${figure(iz, 1)} A where it carries least: method ${l.method}, ${methodNames[l.method]}${with_}${through}; ${must}.`;
}

/** How the loop at the worst place is worked out, figure by figure. */
export function loopWorking(x: LaidCircuit): string {
  const { cable, ze, earthing, before } = x.input;
  const of = ze === null ? (earthing ? `taken for ${earthing}` : "taken, not measured") : "measured";
  const supply = `Ze ${figure(externalLoop(x.input))} Ω (${of})`;
  const start =
    before === null
      ? `${supply} + what feeds its board, which is not known,`
      : before?.zs != null
        ? `${figure(before.zs)} Ω at its board, as that is fed,`
        : supply;
  const r1 = conductorResistance[String(cable.csa)];
  const r2 = conductorResistance[String(cable.cpc)];
  const way =
    x.input.kind === "ring"
      ? "at x of a ring L long x × (L − x) / L counts, and a spur’s own length"
      : "the whole way to the point counts";
  const metre =
    r1 !== undefined && r2 !== undefined ? `(${figure(r1)} + ${figure(r2)}) mΩ/m at 20 °C` : "line and earth";
  return `${start} + ${metre} × 1.2 for warmth × length${
    x.legs.some((l) => l.cable) ? ", runs of another cable by their own" : ""
  }; ${way}.`;
}

/** What was judged of a circuit as it lies, and what was not and why. */
export function judgedWords(x: LaidCircuit): string {
  const lost = x.input.before?.volts;
  const onTop = lost === undefined ? "" : ` on top of ${figure(lost)} V up to its board`;
  const drop = x.input.designCurrent > 0 ? `volt drop at ${figure(x.input.designCurrent, 1)} A${onTop}` : null;
  return drop
    ? `Judged: what each leg carries, fault loop, ${drop}.`
    : "Judged: what each leg carries, fault loop. Not judged: volt drop, since no load is given.";
}
