"use client";
import type { House } from "../../core/house/house";
import type { SiteEntry } from "../../core/job/site-entry";
import type { Plan } from "../../core/laid/laid";
import { surfaceName } from "../../core/words/closing";
import { lineWords } from "../../core/words/record";
import type { Refused } from "./entries-store";
import type { KeptPhoto } from "./photo-store";

const time = (at: string): string =>
  new Date(at).toLocaleString("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });

/**
 * What is kept on this phone and not with the server, one by one, newest first: what it is, when it was made, and how
 * it stands.
 */
export function WaitingList({
  house,
  plan,
  lines,
  refused,
  photos,
}: {
  house: House;
  plan: Plan;
  lines: readonly SiteEntry[];
  refused: readonly Refused[];
  photos: readonly KeptPhoto[];
}) {
  const photoOf = ({ wall, deck, outside }: KeptPhoto) =>
    wall !== null
      ? ({ kind: "wall", id: wall } as const)
      : outside
        ? ({ kind: "outside", id: outside } as const)
        : ({ kind: "deck", id: deck ?? "" } as const);
  const rows = [
    ...lines.map((e) => ({ id: e.id, at: e.at, what: lineWords(house, plan, e), why: null as string | null })),
    ...refused.map((r) => ({ id: r.entry.id, at: r.entry.at, what: lineWords(house, plan, r.entry), why: r.message })),
    ...photos.map((p) => ({
      id: p.id,
      at: p.at,
      what: `Photo of ${surfaceName(house, photoOf(p))}`,
      why: p.refused,
    })),
  ].sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));
  return (
    <section
      id="waiting"
      aria-label="Kept on this phone"
      className="max-h-[60dvh] overflow-y-auto border-b border-line bg-panel p-3 text-[15px]"
    >
      <h2 className="text-lg">Kept on this phone, not sent yet</h2>
      {rows.length ? (
        <ul>
          {rows.map((r) => (
            <li key={r.id} className="border-b border-dotted border-line py-2" data-waits={r.id}>
              <p>{r.what}</p>
              <p className={r.why === null ? "text-soft" : "text-stop"}>
                <span className="num">{time(r.at)}</span> · {r.why === null ? "waits" : `not taken: ${r.why}`}
              </p>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-soft">Nothing waits: all that was done here is with the server.</p>
      )}
    </section>
  );
}
