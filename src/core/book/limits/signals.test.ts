import { layHouse } from "../../house/house";
import { standardCatalogue } from "../../rules/catalogue";
import { apartFacts } from "../../trades/signals/apart";
import { lineFacts } from "../../trades/signals/line-facts";
import { circuit, house, judgeLimits, onW1, run } from "./by-hand.fixture";

const on = (id: string, kind: string, u: number): object => ({
  id,
  label: id.toUpperCase(),
  kind,
  place: { on: "wall", wall: "w1", u, v: 450 },
});
const line = (more: object = {}): object =>
  circuit({ id: "n", label: "NET1", kind: "signal", cable: "data-4p", rcd: null, way: null, points: ["d1"], ...more });
const job = (more: object = {}) =>
  house({
    points: [on("db", "board", 500), on("cb", "cabinet", 900), on("s1", "socket", 2000), on("d1", "data", 3000)],
    circuits: [circuit({ points: ["s1"] }), line()],
    ...more,
  });
/** A mains cable 10.1 wide and a data cable of 6.2 side by side over two metres, their middles so far apart. */
const beside = (middles: number) =>
  apartFacts(
    layHouse(job()),
    [
      run([{ path: onW1([500, 450], [2500, 450]) }]),
      run([{ path: onW1([500, 450 + middles], [2500, 450 + middles]) }], { id: "n", circuit: "n", cable: "data-4p" }),
    ],
    [],
  );

judgeLimits("signals", {
  "signal.apart": {
    allowed: () => beside(50 + 5.05 + 3.1),
    broken: () => ({ facts: beside(58), severity: "warn", measured: 49.85, limit: 50 }),
  },
  "signal.mixed": {
    allowed: () => lineFacts(job(), standardCatalogue),
    broken: () => ({
      facts: lineFacts(job({ circuits: [circuit({ points: ["s1", "d1"] })] }), standardCatalogue),
      severity: "stop",
    }),
  },
  "signal.start": {
    allowed: () => lineFacts(job(), standardCatalogue),
    broken: () => ({
      facts: lineFacts(job({ circuits: [circuit({ points: ["s1"] })] }), standardCatalogue),
      severity: "warn",
    }),
  },
});
