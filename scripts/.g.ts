import { radialsOnOneWall } from "../src/core/plan/one-wall.fixture";
import { layHouse } from "../src/core/house/house";
import { buildGraph } from "../src/core/routing/build";
import { layRuns } from "../src/core/routing/lay";
import { holesOf } from "../src/core/plan/holes";
import { makePlan } from "../src/core/plan/plan";
import { laidCircuits } from "../src/core/trades/circuits/laid-circuit";
import { laidRatings } from "../src/core/trades/circuits/laid-rating";
import { runLength } from "../src/core/laid/run-measures";
for (const [b, n, d] of [["masonry",5,"solid-joists"],["stud",8,"concrete"],["stud",9,"concrete"],["stud",9,"solid-joists"]] as const) {
  const j = radialsOnOneWall(b, n, d);
  const h = layHouse(j); const { runs } = layRuns(h, buildGraph(h));
  const facts = laidRatings(h, runs.map(r=>({...r, pathLength: runLength(r.legs)})), holesOf(h, runs));
  const p = makePlan(j);
  console.log(b, n, d, facts.filter(f=>f.severity==="stop").map(f=>`${f.subject.id} ${f.measured!.toFixed(1)} ${f.of?.grouped}`), p.facts.filter(f=>f.severity==="stop").map(f=>`${f.rule} ${f.subject.id} ${f.measured} ${f.of?.grouped??""}`));
  for (const c of laidCircuits(h, p.runs, p.holes, p.found)) console.log("  ", c.circuit.label, c.legs.map(l=>`${l.grouped}${l.arrangement??""}`).join(" "), c.result.iz);
  console.log(p.holes.filter(o=>o.in.stud===4).map(o=>`${o.fromTop} ${o.diameter} ${o.runs}`));
}
