import { layHouse } from "../src/core/house/house";
import { planHouse } from "../src/core/plan/plan";
import { ternCottage } from "../src/data/demo/tern-cottage";
import { generatedBlock } from "../src/core/routing/generated-block";
const g: any = globalThis;
for (const j of [ternCottage(), generatedBlock(5, 1, 12, 6), generatedBlock(3, 2)]) {
  const h = layHouse(j);
  for (const low of [false, true]) { g.LOW = low; let p; 
    for (let i = 0; i < 12; i++) { g.ST = { pops: 0, spops: 0, sweeps: 0, pairs: 0, t: 0 }; const t = performance.now(); p = planHouse(layHouse(j)); g.ST.all = performance.now() - t; }
    console.log(low, g.ST, p!.cable.total); }
}
