import { layHouse } from "../src/core/house/house";
import { buildGraph } from "../src/core/routing/build";
import { ternCottage } from "../src/data/demo/tern-cottage";
import { distancesFrom } from "../src/core/routing/search";
const g = buildGraph(layHouse(ternCottage()));
const all=[...g.terminal].filter(x=>x>=0);
for(let r=0;r<30;r++){const t=performance.now();for(const f of all)distancesFrom(g,f,[...Array(g.nodes).keys()].slice(0,10).concat(all),g.hidden);const d=performance.now()-t;if(r%10===9)console.log(all.length,(d/all.length*1000).toFixed(0),"us each");}
