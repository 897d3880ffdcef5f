// Times plans of growing blocks of flats and draws the growth as a chart in docs/growth.svg. Run by hand: `npm run growth`.
import { writeFileSync } from "node:fs";
import { makePlan } from "../src/core/plan/plan";
import { generatedBlock } from "../src/core/routing/generated-block";

const rows = [1, 2, 3, 4, 6, 8, 10, 12].map((flats) => {
  const job = generatedBlock(3, flats);
  makePlan(generatedBlock(3, 1));
  const from = performance.now();
  makePlan(job);
  const seconds = (performance.now() - from) / 1000;
  console.log(`${flats} flats, ${job.points.length} points, ${job.circuits.length} circuits: ${seconds.toFixed(2)} s`);
  return { points: job.points.length, circuits: job.circuits.length, seconds };
});
// n·log n times the number of circuits, scaled to the first row.
const law = (r: { points: number; circuits: number }): number => r.points * Math.log(r.points) * r.circuits;
const scale = rows[0]!.seconds / law(rows[0]!);
const [W, H, L, B] = [640, 360, 60, 44];
const most = { x: rows[rows.length - 1]!.points, y: Math.max(...rows.map((r) => r.seconds)) * 1.25 };
const x = (n: number): number => L + ((W - L - 20) * n) / most.x;
const y = (s: number): number => H - B - ((H - B - 24) * Math.min(s, most.y)) / most.y;
const line = (f: (r: (typeof rows)[number]) => number): string =>
  rows.map((r) => `${x(r.points).toFixed(1)},${y(f(r)).toFixed(1)}`).join(" ");
const ticks = (n: number, to: number): number[] => Array.from({ length: n + 1 }, (_, i) => (to * i) / n);
const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" font-family="sans-serif" font-size="12" fill="#1c2725"><title>Time to plan a block of flats against its points</title><rect width="${W}" height="${H}" fill="#f7f9f6"/>
${ticks(5, most.x)
  .map(
    (n) =>
      `<text x="${x(n)}" y="${H - B + 18}" text-anchor="middle">${Math.round(n)}</text><line x1="${x(n)}" x2="${x(n)}" y1="${H - B}" y2="${H - B + 4}" stroke="#55625f"/>`,
  )
  .join("")}
${ticks(4, most.y)
  .map(
    (s) =>
      `<text x="${L - 8}" y="${y(s) + 4}" text-anchor="end">${s.toFixed(0)}</text><line x1="${L}" x2="${W - 20}" y1="${y(s)}" y2="${y(s)}" stroke="#dfe4df"/>`,
  )
  .join("")}
<text x="${(W + L) / 2}" y="${H - 8}" text-anchor="middle">points</text><text x="14" y="16">seconds</text>
<polyline points="${line((r) => scale * law(r))}" fill="none" stroke="#8a5a00" stroke-width="1.5" stroke-dasharray="5 4"/><polyline points="${line((r) => r.seconds)}" fill="none" stroke="#1d5ca6" stroke-width="2.5"/>
${rows.map((r) => `<circle cx="${x(r.points)}" cy="${y(r.seconds)}" r="4" fill="#1d5ca6"/>`).join("")}
<text x="${L + 14}" y="40" fill="#1d5ca6">measured</text><text x="${L + 14}" y="58" fill="#8a5a00">dashed: n log n times circuits, from the first</text></svg>
`;
writeFileSync("docs/growth.svg", svg);
