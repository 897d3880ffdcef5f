import { makePlan } from "../src/core/plan/plan";
import { generatedBlock } from "../src/core/routing/generated-block";
const b=generatedBlock(3,12);const t=performance.now();makePlan(b);console.log("block",(performance.now()-t).toFixed(0), (process.memoryUsage().rss/1e6).toFixed(0));
