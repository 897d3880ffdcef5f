"use client";
import { mm } from "../../../core/base/figures";
import { outsideName } from "../../../core/words/closing";
import { groundNames } from "../../../core/drawings/outside-scenes";
import { useDesk } from "../../job/store";
import { GroundForm, PostForm } from "./ground-form";
import { RowForm } from "./row-form";
import { useOutside } from "./use-outside";
import { WayForm } from "./way-form";

const pick = (id: string) => (): void => useDesk.setState({ selection: { kind: "outside", id } });

/** What lies out of doors as lists, and the form of what is picked. */
export function OutsidePanel() {
  const job = useDesk((s) => s.job);
  const selection = useDesk((s) => s.selection);
  const id = selection?.kind === "outside" ? selection.id : null;
  const { ways, rows } = useOutside();
  const line =
    "flex w-full cursor-pointer items-baseline justify-between gap-2 border border-line px-2 py-1 text-left hover:border-ink aria-pressed:border-ink";
  const lists = [
    {
      name: "Trenches and wires",
      none: "None yet. Draw one from wall to wall: armour then goes through it.",
      rows: job.outsideWays.map((w) => {
        const f = ways.find((x) => x.laid.way.id === w.id);
        return {
          id: w.id,
          name: outsideName(w),
          right: f ? `${mm(Math.round(f.laid.length))}${f.runs.length ? "" : ", empty"}` : "no ends",
        };
      }),
    },
    {
      name: "Rows of lights",
      none: "None yet. Draw one along a path, from the end that is fed.",
      rows: job.lightRows.map((r) => {
        const f = rows.find((x) => x.row.id === r.id);
        return {
          id: r.id,
          name: `${r.label}${r.name ? `, ${r.name}` : ""}`,
          right: f ? `${f.lights.length} lights` : "",
        };
      }),
    },
    {
      name: "Ground, trees and posts",
      none: "Nothing drawn yet: lawn, path, drive, trees. A drive tells a trench to lie in a duct and a wire to hang high.",
      rows: [
        ...job.grounds.map((g) => ({
          id: g.id,
          name: g.name || groundNames[g.kind],
          right: g.level ? `${g.level > 0 ? "+" : "−"}${mm(Math.abs(g.level))}` : groundNames[g.kind],
        })),
        ...job.posts.map((p) => ({ id: p.id, name: `Post ${p.label}`, right: `${mm(p.height)} high` })),
      ],
    },
  ];
  return (
    <>
      <Picked id={id} />
      {lists.map((l) => (
        <section key={l.name} aria-label={l.name} className="grid gap-1">
          <h2 className="text-lg">{l.name}</h2>
          {l.rows.length ? null : <p className="text-[13px] text-soft">{l.none}</p>}
          {l.rows.map((r) => (
            <button
              key={r.id}
              type="button"
              aria-pressed={r.id === id}
              className={line}
              onClick={pick(r.id)}
              data-outside-row={r.id}
            >
              <span className="truncate font-semibold">{r.name}</span>
              <span className="num text-[12.5px] whitespace-nowrap text-soft">{r.right}</span>
            </button>
          ))}
        </section>
      ))}
    </>
  );
}

function Picked({ id }: { id: string | null }) {
  const job = useDesk((s) => s.job);
  const way = job.outsideWays.find((w) => w.id === id);
  const row = job.lightRows.find((r) => r.id === id);
  const ground = job.grounds.find((g) => g.id === id);
  const post = job.posts.find((p) => p.id === id);
  if (way) return <WayForm key={way.id} way={way} />;
  if (row) return <RowForm key={row.id} row={row} />;
  if (ground) return <GroundForm key={ground.id} ground={ground} />;
  return post ? <PostForm key={post.id} post={post} /> : null;
}
