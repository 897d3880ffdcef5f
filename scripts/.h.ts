import { makePlan } from "../src/core/plan/plan";
import { generatedBlock } from "../src/core/routing/generated-block";
const demo = generatedBlock(5,1,12,6);
const N = Number(process.env.N ?? 40);
for (let i=0;i<6;i++) makePlan(demo);
const ts:number[]=[];
for (let i=0;i<N;i++){const t=performance.now();makePlan(demo);ts.push(performance.now()-t);}
ts.sort((a,b)=>a-b);console.log("median",ts[N>>1]!.toFixed(1),"min",ts[0]!.toFixed(1));
