import { planHouse } from "../src/core/plan/plan";
import { layHouse, type House } from "../src/core/house/house";
import { relayHouse } from "../src/core/house/relay";
import { ternCottage } from "../src/data/demo/tern-cottage";
const demo = ternCottage();
const N = Number(process.env.N ?? 40);
let held = layHouse(demo);
const moved = (round: number): House => {
  const points = held.job.points.map((p) =>
    p.id === "s5" && p.place.on === "wall" ? { ...p, place: { ...p.place, u: 2700 + 10 * (round%31) } } : p,
  );
  return (held = relayHouse(held, { ...held.job, points }));
};
for (let i=0;i<6;i++) planHouse(moved(i));
const ts:number[]=[];
for (let i=0;i<N;i++){const t=performance.now();planHouse(moved(i));ts.push(performance.now()-t);}
ts.sort((a,b)=>a-b);console.log("edit median",ts[N>>1]!.toFixed(1),"min",ts[0]!.toFixed(1));
