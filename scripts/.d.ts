import { house } from "../src/core/book/limits/by-hand.fixture";
import { layHouse } from "../src/core/house/house";
import { buildGraph } from "../src/core/routing/build";
import { makePlan } from "../src/core/plan/plan";
const wall = (w: string, u: number, v: number) => ({ on: "wall" as const, wall: w, u, v });
const job = house({ sections: [{id:"t1",label:"T1",kind:"mini-trunking",size:"38x16",path:[wall("w3",2000,1400),wall("w3",2000,700),wall("w3",4000,700),wall("w0",0,700),wall("w0",1000,700)]}],
 points:[{ id: "db", label: "DB1", kind: "board", ways: 8, place: wall("w3",2000,1400) },{ id: "s1", label: "S1", kind: "socket", place: wall("w0",1000,450) }]});
const g = buildGraph(layHouse(job));
for (let e=0;e<g.a.length;e++) if (g.section[e]) console.log(e, g.kind[e], [g.x[g.a[e]!],g.y[g.a[e]!],g.z[g.a[e]!]],[g.x[g.b[e]!],g.y[g.b[e]!],g.z[g.b[e]!]],g.hidden[e]);
console.log(JSON.stringify(makePlan(job).runs[0]!.legs));
const nd = makePlan({...job, decks: []});
console.log(nd.runs.map(r=>r.legs.map(l=>l.method+" "+JSON.stringify(l.path))), nd.facts.filter(f=>f.severity==="stop").map(f=>f.rule+f.case));
import { edgeCosts } from "../src/core/routing/edge-costs";
const h=layHouse(job); const c=edgeCosts(h,g,job.circuits[0]!,new Uint8Array(h.faces.length));
for (const e of [4,6,156,158,166]) console.log(e,c[e]);
for (let e=0;e<g.a.length;e++) { const n=[g.a[e]!,g.b[e]!]; for(const k of n) if (g.x[k]===0&&g.y[k]===1000&&g.z[k]===700) console.log("at",e,c[e],g.kind[e],[g.x[n[0]!],g.y[n[0]!],g.z[n[0]!]],[g.x[n[1]!],g.y[n[1]!],g.z[n[1]!]]); if (g.kind[e]===1) {const k=n[0]!; if (g.z[k]===700) console.log("corner",c[e],[g.x[k],g.y[k]]) } }
