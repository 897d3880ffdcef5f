"use client";
import { useMemo, useState } from "react";
import { mm } from "../../../../core/base/figures";
import {
  type InnerWall,
  LONG_SPAN,
  bearingsOn,
  clearSpans,
  innerWalls,
  usualDirection,
} from "../../../../core/house/bearings";
import type { Deck } from "../../../../core/job/model";
import { addDeck, currentStorey } from "../../../job/edits";
import { useDesk } from "../../../job/store";
import { Sheet } from "../../../kit/dialog";
import { DialogFoot } from "../../../kit/dialog-foot";
import { SelectField } from "../../../kit/field";

/** Asks how the joists of a new deck lie and what bears them, before any hole is placed by their spans. */
export function NewDeck({ kind, onClose }: { kind: Deck["kind"] | null; onClose: () => void }) {
  return (
    <Sheet
      open={kind !== null}
      onOpenChange={(o) => !o && onClose()}
      title={kind === "engineered" ? "Engineered joists over this storey" : "Joists over this storey"}
      about="Look up from below or through a lifted board: which way do they run, and what carries them? Holes are placed by the clear spans between bearings."
    >
      {kind ? <Ask kind={kind} onDone={onClose} /> : null}
    </Sheet>
  );
}

const nameOf = (w: InnerWall): string => `${Math.round(w.from)} ${Math.round(w.to)}`;

function Ask({ kind, onDone }: { kind: Deck["kind"]; onDone: () => void }) {
  const house = useDesk((s) => s.house);
  const { job } = house;
  const storey = currentStorey();
  const [direction, setDirection] = useState(() => usualDirection(job, storey));
  const [on, setOn] = useState<ReadonlySet<string>>(new Set());
  const [sure, setSure] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const walls = useMemo(() => innerWalls(house, storey, direction), [house, storey, direction]);
  const bearings = bearingsOn(
    job,
    storey,
    direction,
    walls.filter((w) => on.has(nameOf(w))),
  );
  const spans = clearSpans(bearings);
  const longest = Math.max(0, ...spans);
  const doubtful = kind === "solid-joists" && longest > LONG_SPAN;
  return (
    <div className="grid gap-2">
      <SelectField
        label="Joists run"
        name="new joists run"
        value={direction}
        options={[
          { value: "east-west", name: "east–west" },
          { value: "north-south", name: "north–south" },
        ]}
        onCommit={(d) => {
          setDirection(d);
          setOn(new Set());
        }}
      />
      <fieldset className="grid gap-1">
        <legend className="pb-1 text-[13px] text-soft">They rest on the outer walls, and on</legend>
        {walls.map((w) => (
          <label key={nameOf(w)} className="flex min-h-9 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-(--accent)"
              data-bearing={nameOf(w)}
              checked={on.has(nameOf(w))}
              onChange={(e) => {
                const next = new Set(on);
                if (e.target.checked) next.add(nameOf(w));
                else next.delete(nameOf(w));
                setOn(next);
                setSure(false);
              }}
            />
            <span>
              the wall between {w.between[0]} and {w.between[1]}, {mm(Math.round(w.from))} in
              <span className="text-soft">
                {" "}
                · {w.masonry ? "masonry" : "studs"}, under {Math.round(w.share * 100)} % of the deck
              </span>
            </span>
          </label>
        ))}
        {walls.length ? null : (
          <p className="text-[14px] text-soft">No wall between two rooms stands across them on this storey.</p>
        )}
      </fieldset>
      <p data-spans>
        Clear {spans.length === 1 ? "span" : "spans"}:{" "}
        <span className="num">{spans.map((s) => mm(s)).join(", ") || "none"}</span>
      </p>
      {doubtful ? (
        <label className="flex items-start gap-2 border-l-4 border-warn bg-panel p-2" data-long-span>
          <input
            type="checkbox"
            className="mt-1 size-4 accent-(--accent)"
            checked={sure}
            onChange={(e) => setSure(e.target.checked)}
          />
          <span>
            {mm(longest)} is a long way for joists without a support; over {mm(LONG_SPAN)} is seldom right. I have
            looked, and nothing carries them between.
          </span>
        </label>
      ) : null}
      <p className="text-[13px] text-soft">
        A steel, or a wall that is not drawn, is put in afterwards under Bearings. Ask a structural engineer where it is
        not plain what carries a floor.
      </p>
      <DialogFoot
        fault={fault}
        onLeave={onDone}
        onDo={() => {
          if (doubtful && !sure)
            return setFault(`Tick a wall that carries them, or say that nothing does over ${mm(longest)}.`);
          const refused = addDeck(kind, { direction, bearings });
          if (refused) return setFault(refused);
          onDone();
        }}
      >
        Add the deck
      </DialogFoot>
    </div>
  );
}
