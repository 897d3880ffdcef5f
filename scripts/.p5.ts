import { makePlan } from "../src/core/plan/plan";
import { ternCottage } from "../src/data/demo/tern-cottage";
const demo = ternCottage();
const N = Number(process.env.N ?? 40);
for (let i=0;i<6;i++) makePlan(demo);
const ts:number[]=[];
for (let i=0;i<N;i++){const t=performance.now();makePlan(demo);ts.push(performance.now()-t);}
console.log(ts.map(x=>x.toFixed(0)).join(" "));
