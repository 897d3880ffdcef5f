"use client";
import { mm } from "../../core/base/figures";
import { type XY, bounds } from "../../core/base/polygon";
import { type DeckJoist, type LaidDeck, joistFor } from "../../core/house/deck";
import type { ExistingCut } from "../../core/job/model";
import type { Hole } from "../../core/laid/laid";
import { chalkLines } from "../../core/trades/timber/boring";
import { joistWindows } from "../../core/trades/timber/joist";
import { useDesk } from "../job/store";

type Px = (n: number) => number;
type ToPlan = (e: { clientX: number; clientY: number }) => XY;

/** One deck from above: joists with their legal windows, noggins, chalk lines, parts kept free, obstacles and old cuts. */
export function DeckLayer({ l, px, toPlan, holes }: { l: LaidDeck; px: Px; toPlan: ToPlan; holes: readonly Hole[] }) {
  const job = useDesk((s) => s.shown);
  return (
    <g>
      <polygon
        points={l.deck.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
        fill="none"
        stroke="var(--timberline)"
        strokeWidth={px(1)}
        strokeDasharray={`${px(6)} ${px(4)}`}
        pointerEvents="none"
      />
      {l.joists.map((j) => (
        <JoistShape key={j.n} l={l} j={j} px={px} toPlan={toPlan} />
      ))}
      {l.deck.noggins.map((n, i) => (
        <rect
          key={`n${i}`}
          {...(l.along === "x"
            ? { x: l.origin + n.at - 23, y: -l.high, width: 46, height: l.high - l.low }
            : { x: l.low, y: -(l.origin + n.at + 23), width: l.high - l.low, height: 46 })}
          fill="none"
          stroke="var(--timberline)"
          strokeWidth={px(0.8)}
          strokeDasharray={`${px(3)} ${px(3)}`}
          pointerEvents="none"
        />
      ))}
      <ChalkLines l={l} holes={holes} px={px} />
      {job.forbidden.map((x) =>
        x.place.on === "deck" && x.place.deck === l.deck.id ? (
          <polygon
            key={x.id}
            points={x.place.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
            fill="var(--stop)"
            fillOpacity={0.15}
            stroke="var(--stop)"
            strokeWidth={px(1.2)}
            strokeDasharray={`${px(4)} ${px(3)}`}
            pointerEvents="none"
          />
        ) : null,
      )}
      {l.deck.obstacles.map((o) => (
        <g key={o.id} pointerEvents="none">
          <polygon
            points={o.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
            fill="var(--soft)"
            stroke="var(--ink)"
            strokeWidth={px(1)}
          />
          <text
            x={bounds(o.outline).x1 + px(5)}
            y={-(bounds(o.outline).y0 + bounds(o.outline).y1) / 2}
            fontSize={px(11)}
            fill="var(--ink)"
            fontFamily="var(--font-cond)"
          >
            {o.name || o.kind}
          </text>
        </g>
      ))}
      {l.deck.existingCuts.map((c) => (
        <OldCut key={c.id} l={l} c={c} px={px} />
      ))}
    </g>
  );
}

/** A joist to press: it picks the span that was pressed. */
function JoistShape({ l, j, px, toPlan }: { l: LaidDeck; j: DeckJoist; px: Px; toPlan: ToPlan }) {
  const selection = useDesk((s) => s.selection);
  const school = useDesk((s) => s.shown.settings.schools.notch);

  const half = l.deck.joists.breadth / 2;
  const box = (from: number, to: number): { x: number; y: number; width: number; height: number } =>
    l.along === "x"
      ? { x: from, y: -(j.at + half), width: to - from, height: half * 2 }
      : { x: j.at - half, y: -to, width: half * 2, height: to - from };
  const picked = selection?.kind === "joist" && selection.deck === l.deck.id && selection.joist === j.n;
  function pick(clientX: number, clientY: number): void {
    const p = toPlan({ clientX, clientY });
    const along = l.along === "x" ? p.x : p.y;
    const span = j.spans.findIndex(([s, e]) => along >= s && along <= e);
    useDesk.setState({
      selection: { kind: "joist", deck: l.deck.id, joist: j.n, span: Math.max(0, span) + 1 },
    });
  }
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Joist ${j.n} of ${l.deck.name}`}
      aria-pressed={picked}
      className="focusable cursor-pointer"
      onPointerDown={(e) => e.stopPropagation()}
      onClick={(e) => pick(e.clientX, e.clientY)}
      onKeyDown={(e) =>
        (e.key === "Enter" || e.key === " ") &&
        (e.preventDefault(), useDesk.setState({ selection: { kind: "joist", deck: l.deck.id, joist: j.n, span: 1 } }))
      }
    >
      {j.extent.map(([p, q], i) => (
        <rect
          key={i}
          className="ring"
          {...box(p, q)}
          fill="var(--timber)"
          stroke={picked ? "var(--accent)" : "var(--timberline)"}
          strokeWidth={px(picked ? 2.5 : 0.7)}
        />
      ))}
      {l.deck.kind === "solid-joists"
        ? j.spans.flatMap((s, k) =>
            joistWindows(joistFor(l, s), school).hole.zones.map(([p, q], i) => (
              <rect key={`${k} ${i}`} {...box(s[0] + p, s[0] + q)} fill="url(#window)" pointerEvents="none" />
            )),
          )
        : null}
      <text
        {...(l.along === "x" ? { x: l.origin + px(3), y: -j.at + px(4) } : { x: j.at, y: -l.origin + px(14) })}
        fontSize={px(10.5)}
        textAnchor={l.along === "x" ? "start" : "middle"}
        fontFamily="var(--font-mono)"
        fill="var(--ink)"
        pointerEvents="none"
      >
        {j.n}
      </text>
    </g>
  );
}

/** Lines to snap across the joists, with their distance from the bearing at the far end. */
function ChalkLines({ l, holes, px }: { l: LaidDeck; holes: readonly Hole[]; px: Px }) {
  return (
    <>
      {chalkLines(l, { holes: [...holes] })
        .filter((c) => c.joists.length > 1)
        .map((c) => {
          const [a, z] = [l.joists[c.marks[0].joist - 1]!.at, l.joists[c.marks[1].joist - 1]!.at];
          const p =
            l.along === "x"
              ? { x1: c.along, x2: c.along, y1: -a, y2: -z }
              : { x1: a, x2: z, y1: -c.along, y2: -c.along };
          return (
            <g key={`${c.along} ${c.span} ${c.marks[0].joist}`} pointerEvents="none" data-chalk={Math.round(c.at)}>
              <line {...p} stroke="var(--accent)" strokeWidth={px(1.1)} strokeDasharray={`${px(1.5)} ${px(3)}`} />
              <text
                x={p.x2 + px(6)}
                y={p.y2 - px(5)}
                fontSize={px(10.5)}
                fontFamily="var(--font-mono)"
                fill="var(--ink)"
              >
                {mm(c.at)}
              </text>
            </g>
          );
        })}
    </>
  );
}

/** A hole or notch that is there already, to scale and crossed. */
function OldCut({ l, c, px }: { l: LaidDeck; c: ExistingCut; px: Px }) {
  const j = l.joists[c.joist - 1];
  const s = j?.spans[c.span - 1];
  if (!j || !s) return null;
  const half = l.deck.joists.breadth / 2;
  const wide = c.kind === "hole" ? c.diameter : c.width;
  const at = l.along === "x" ? { x: s[0] + c.at, y: -j.at } : { x: j.at, y: -(s[0] + c.at) };
  // To scale: a hole is as long as its bit is wide, through the joist; a notch is filled.
  return (
    <g pointerEvents="none">
      <rect
        {...(l.along === "x"
          ? { x: at.x - wide / 2, y: at.y - half, width: wide, height: 2 * half }
          : { x: at.x - half, y: at.y - wide / 2, width: 2 * half, height: wide })}
        fill={c.kind === "notch" ? "var(--stop)" : "var(--plate)"}
        fillOpacity={0.7}
        stroke="var(--stop)"
        strokeWidth={px(1.2)}
      />
      <path
        d={`M${at.x - px(5)},${at.y - px(5)}L${at.x + px(5)},${at.y + px(5)}M${at.x - px(5)},${at.y + px(5)}L${at.x + px(5)},${at.y - px(5)}`}
        stroke="var(--stop)"
        strokeWidth={px(2.2)}
      />
    </g>
  );
}

/** Holes to drill in the joists. */
export function DeckHoles({ holes, px }: { holes: readonly Hole[]; px: Px }) {
  return (
    <>
      {holes
        .filter((o) => o.in.kind === "joist")
        .map((o) => (
          <circle
            key={o.id}
            cx={o.centre[0]}
            cy={-o.centre[1]}
            r={Math.max(px(3.6), o.diameter / 2)}
            fill="var(--plate)"
            stroke="var(--ink)"
            strokeWidth={px(1.5)}
            pointerEvents="none"
          />
        ))}
    </>
  );
}
