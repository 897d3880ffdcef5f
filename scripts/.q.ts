import { layHouse } from "../src/core/house/house";
import { buildGraph } from "../src/core/routing/build";
import { generatedBlock } from "../src/core/routing/generated-block";
import { ternCottage } from "../src/data/demo/tern-cottage";
for (const job of [ternCottage(), generatedBlock(5,1,12,6)]) {
const g = buildGraph(layHouse(job));
const term = new Set([...g.terminal]);
let deg = new Int32Array(g.nodes);
const alive = Uint8Array.from(g.hidden);
for (let e=0;e<g.a.length;e++) if (alive[e]) {deg[g.a[e]!]++;deg[g.b[e]!]++;}
console.log("nodes",g.nodes,"edges",g.a.length,"usable",[...alive].filter(x=>x).length);
// dead ends
let removed=0;
const q=[...Array(g.nodes).keys()].filter(n=>deg[n]===1&&!term.has(n));
while(q.length){const n=q.pop()!;if(deg[n]!==1)continue;for(let k=g.first[n]!;k<g.first[n+1]!;k++){const e=g.edges[k]!;if(alive[e]){alive[e]=0;deg[n]--;const m=g.to[k]!;deg[m]--;if(deg[m]===1&&!term.has(m))q.push(m);removed++;}}}
const h=[0,0,0,0,0,0,0,0,0,0,0,0,0];for(let n=0;n<g.nodes;n++)h[Math.min(12,deg[n]!)]++;
console.log("dead edges",removed,"degrees",h, "deg2 out of box", [...Array(g.nodes).keys()].filter(n=>deg[n]===2&&!term.has(n)&&g.inBox[n]!<0).length);
const kinds:Record<string,number>={};for(let e=0;e<g.a.length;e++)if(alive[e])kinds[g.kind[e]!]=(kinds[g.kind[e]!]??0)+1;console.log(kinds);
}
