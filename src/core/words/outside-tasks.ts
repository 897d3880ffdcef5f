import { mm, toMark } from "../base/figures";
import type { House } from "../house/house";
import { outsideOf } from "../house/outside";
import { pointLabels } from "../job/labels";
import type { Plan } from "../laid/laid";
import { lightRows } from "../plan/light-row";
import type { Part } from "../record/parts";
import { sagOf } from "../rules/sag";
import { loadedSpans, runsIn, shallowest } from "../trades/outside/outside-facts";
import { extensionsOf } from "../trades/retrofit/extension";
import { outsideName } from "./closing";
import { type PartWords, say } from "./part-words";
import { jointPlaceNames } from "./retrofit";

/** An old circuit made dead, and a joint of old cable with new. */
export function extensionPart(h: House, plan: Plan, p: Part): PartWords {
  const label = pointLabels(h.job);
  const f = extensionsOf(h, plan).find((x) => p.group === `circuit:${x.circuit.id}`);
  if (!f) return say(p.at.id, "", "");
  if (p.kind === "isolate")
    return say(
      `${f.circuit.label}: isolate, lock off, prove the tester, prove dead, prove the tester`,
      f.broken ? `${label(f.broken.from)}–${label(f.broken.to)}` : "",
      f.broken
        ? "is the leg that is broken; both its ends known before it is cut"
        : `${f.circuit.label} goes on from ${f.joints.map((j) => label(j.point)).join(", ")}`,
    );
  const j = f.joints.find((x) => x.point === p.at.id);
  if (!j) return say(label(p.at.id), "", "");
  return say(
    `${f.circuit.label}, at ${label(j.point)}: join old cable and new`,
    "",
    `${jointPlaceNames[j.where]}${j.where === "under-floor" ? (j.hatch ? ", under a hatch that lifts" : ", maintenance-free, closed") : ""}; sheath under the relief, tug each core`,
    j.cores.map((x) => ({ what: x.carries, number: `${x.old} to ${x.new}` })),
  );
}

/** What is dug, hung, set and filled out of doors. */
export function outsidePart(h: House, plan: Plan, p: Part): PartWords {
  if (p.at.kind === "row") {
    const f = lightRows(h, []).find((x) => x.row.id === p.at.id);
    if (!f) return say(p.at.id, "", "");
    const { row } = f;
    const name = `${row.label}${row.name ? `, ${row.name}` : ""}`;
    if (p.kind !== "lights")
      return say(
        p.kind === "dig" ? `${name}: dig, cable at` : `${name}: sand, cable, sand, tape, then fill`,
        p.kind === "dig" ? mm(row.line) : `${p.count.toFixed(1)} m`,
        p.kind === "dig"
          ? `below the ground, ${p.count.toFixed(1)} m along the path`
          : "tested first; stones picked out",
      );
    const marks = f.lights.map((l) => ({
      what: `light ${l.n}, ${l.post ? `on post ${l.post.label}` : `${l.side === 1 ? "left" : "right"} of the path`}, from its fed end`,
      number: toMark(l.at),
    }));
    return say(
      `${name}: ${marks[0]!.what}`,
      marks[0]!.number,
      `its hole rises ${f.hole.rise} inward over ${mm(f.hole.through)}; a loop below it so that water drips off`,
      marks.slice(1),
    );
  }
  const w = outsideOf(h).find((x) => x.way.id === p.at.id);
  if (!w) return say(p.at.id, "", "");
  const name = outsideName(w.way);
  if (p.kind === "hang") {
    const spans = loadedSpans(h, w, runsIn(w.way.id, plan.runs));
    const [s] = spans;
    return say(
      `${name}: pull it until the middle dips`,
      toMark(sagOf(s!)),
      `span ${mm(Math.round(s!.length))}, ${mm(w.way.tension)} N; then the cable, tied, with a loop below each entry`,
      spans.slice(1).map((x) => ({ what: `${x.supports[0]} to ${x.supports[1]}, dip`, number: toMark(sagOf(x)) })),
    );
  }
  const least = shallowest(w);
  if (p.kind === "fill")
    return say(
      `${name}: ${w.way.bed > 0 ? `${mm(w.way.bed)} of sand over the cable, then` : "fill, then"} tape above the cable`,
      w.way.marker > 0 ? toMark(w.way.marker) : "",
      "only after it is tested, photographed with a tape and released",
    );
  return say(
    `${name}: dig, the cable at`,
    toMark(w.trench[0]!.depthFrom),
    [
      `below the ground, ${mm(w.way.bed)} more for its bed`,
      `${p.count.toFixed(1)} m long`,
      w.way.services.length ? "by hand near what it crosses" : "look for other services first",
    ].join(", "),
    [
      ...w.trench
        .slice(1)
        .map((s) => ({ what: `deep, ${mm(Math.round(s.from))} from its start`, number: toMark(s.depthFrom) })),
      ...w.way.services.map((s) => ({ what: `${s.kind} crosses, from its start`, number: toMark(s.at) })),
      { what: `deep where it is least, ${mm(Math.round(least.at))} from its start`, number: toMark(least.depth) },
    ],
  );
}
