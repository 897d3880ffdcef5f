"use client";
import { useMemo, useRef } from "react";
import { pointLabels } from "../../core/job/labels";
import { accessories } from "../../core/rules/accessories";
import type { CoreColour } from "../../core/rules/cores";
import { cableOf } from "../../core/rules/catalogue";
import { type WiredCable, type WiredCore, isDrawn, wiringAt } from "../../core/trades/lighting/terminals";
import { connectorsOf } from "../../core/trades/lighting/connectors";
import { carriedWords, colourWords, connectorWords, terminalWords } from "../../core/words/wiring";
import { useWidth } from "../kit/use-width";
import { useDesk, useSnapshot } from "../job/store";

/** Colours as a core has them; words stand beside each. */
const paint: Record<CoreColour, string> = {
  brown: "#7a4a21",
  blue: "#2d6fb4",
  black: "#1d1d1b",
  grey: "#8b8f93",
  "green-yellow": "#5f9e2f",
  red: "#b8322a",
  yellow: "#d9b528",
  green: "#3f7d3a",
};

const ROW = 25;
const HEAD = 24;
/** Where the cores start, where the accessory stands, and how wide it all is, px; in a narrow place the old colours are left out. */
const WIDE = { core: 186, box: 300, width: 590, old: true };
const NARROW = { core: 118, box: 152, width: 262, old: false };
type Layout = typeof WIDE;
/** Width from which there is room for all of it, px. */
const ROOMY = 420;

/** How the cables of a point are connected: each core drawn from its cable to its terminal, by colour and in words. */
export function WiringPicture({ point }: { point: string }) {
  const { job, plan } = useSnapshot();
  const catalogue = useDesk((s) => s.catalogue);
  const cables = useMemo(() => {
    const cableOfRun = new Map((plan?.runs ?? []).map((r) => [r.id, r.cable]));
    return wiringAt(job, plan?.runs ?? [], (r) => cableOf(cableOfRun.get(r.id) ?? "", catalogue), point);
  }, [job, plan, catalogue, point]);
  const p = job.points.find((x) => x.id === point);
  if (!p || !isDrawn(p)) return null;
  const label = pointLabels(job);
  const runOf = new Map((plan?.runs ?? []).map((r) => [r.id, r]));
  const name = `${p.label}, ${accessories[p.kind].name.toLowerCase()}`;
  if (!cables.length)
    return <p className="text-[13px] text-soft">{name}: no cable is laid to it yet, so there is nothing to connect.</p>;
  const title = (c: WiredCable): string =>
    `To ${label(c.other)} · ${cableOf(runOf.get(c.run)?.cable ?? "", catalogue)?.name ?? ""}`;
  return <Picture point={point} name={name} cables={cables} title={title} />;
}

function Picture({
  point,
  name,
  cables,
  title,
}: {
  point: string;
  name: string;
  cables: readonly WiredCable[];
  title: (c: WiredCable) => string;
}) {
  const ref = useRef<HTMLElement>(null);
  const at = useWidth(ref, 590) < ROOMY ? NARROW : WIDE;
  const height = cables.reduce((sum, c) => sum + HEAD + c.cores.length * ROW + 8, 0);
  const connectors = connectorsOf(cables);
  let y = 0;
  return (
    <figure ref={ref} className="m-0" data-wiring={point}>
      <svg
        viewBox={`0 0 ${at.width} ${height + 4}`}
        className="block h-auto w-full max-w-[680px]"
        role="img"
        aria-label={`Wiring of ${name}`}
        fontFamily="var(--font-cond)"
        fontSize={at === WIDE ? 14 : 12.5}
      >
        <rect
          x={at.box}
          y={1}
          width={at.width - at.box - 1}
          height={height + 2}
          fill="var(--page)"
          stroke="var(--ink)"
        />
        {cables.map((c) => {
          const top = y;
          y += HEAD + c.cores.length * ROW + 8;
          return (
            <g key={c.run}>
              <text x={0} y={top + 17} fill="var(--ink)" fontWeight={600}>
                {title(c)}
              </text>
              {c.cores.map((k, n) => (
                <Core key={n} core={k} at={at} y={top + HEAD + n * ROW + ROW / 2} />
              ))}
            </g>
          );
        })}
      </svg>
      <figcaption className="mt-1 text-[13px] text-soft">
        {at.old ? "In brackets the colour in old cable, which proves nothing by itself: test it. " : ""}Sleeve every
        core that carries another than its colour says. The marks are the usual ones; the accessory’s own go first.
        Isolate, prove dead, prove the tester.
      </figcaption>
      {connectors.length ? (
        <ul className="mt-1 text-[13.5px]" aria-label={`Connectors in ${name}`}>
          {connectors.map((x) => (
            <li key={x.name} className="border-t border-dotted border-line py-0.5">
              {connectorWords(x)}
            </li>
          ))}
        </ul>
      ) : null}
    </figure>
  );
}

function Core({ core, at, y }: { core: WiredCore; at: Layout; y: number }) {
  const bare = core.carries === "cpc";
  return (
    <g>
      <line x1={at.core} x2={at.box + 10} y1={y} y2={y} stroke="var(--soft)" strokeWidth={7} />
      <line x1={at.core} x2={at.box + 10} y1={y} y2={y} stroke={paint[core.colour]} strokeWidth={5} />
      {bare ? (
        <line x1={at.core} x2={at.box + 10} y1={y} y2={y} stroke="#e5cf3a" strokeWidth={2} strokeDasharray="7 7" />
      ) : null}
      {core.sleeve ? (
        <rect x={at.box - 30} y={y - 5} width={24} height={10} fill={paint[core.sleeve]} stroke="#fff" />
      ) : null}
      <circle cx={at.box + 12} cy={y} r={5} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.5} />
      <text x={0} y={y + 5} fill="var(--ink)">
        {colourWords(core.colour, core.sleeve)}
        {at.old ? <tspan fill="var(--soft)">{` (${core.old})`}</tspan> : null}
      </text>
      <text x={at.box + 21} y={y + 5} fill="var(--ink)">
        <tspan fontWeight={600}>{terminalWords(core)}</tspan>
        <tspan fill="var(--soft)">
          {(core.carries === "cpc" && core.terminal.mark === "E") || !at.old ? "" : ` · ${carriedWords[core.carries]}`}
        </tspan>
      </text>
    </g>
  );
}
