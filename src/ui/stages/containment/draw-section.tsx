"use client";
import { sectionKinds, sectionRows, sectionSizes, type SectionKind } from "../../../core/rules/sections";
import { decksToDrawOn } from "../../drawing/tools/deck-section";
import { useDesk } from "../../job/store";

/** Sizes to begin with: what is usual. */
const USUAL: Record<SectionKind, string> = {
  capping: "25",
  oval: "20",
  "conduit-plastic": "20",
  "conduit-metal": "20",
  "mini-trunking": "25x16",
  "trunking-plastic": "50x50",
  "trunking-metal": "50x50",
  tray: "100",
  basket: "150",
  ladder: "300",
  cleats: "one",
};

/** Takes the tool in hand that draws a section of some kind on the walls. */
export function takeSectionTool(section: SectionKind): void {
  const sizes = sectionSizes(section, useDesk.getState().catalogue);
  const size = sizes.find((s) => s.id === USUAL[section]) ?? sizes[0];
  if (size)
    useDesk.setState({ tool: { kind: "section", section, size: size.id, draft: [], hover: null }, selection: null });
}

/** Kinds of section as buttons, the one in hand pressed. */
function Kinds({
  kinds,
  now,
  take,
}: {
  kinds: readonly (readonly [SectionKind, string])[];
  now: SectionKind | null;
  take: (kind: SectionKind) => void;
}) {
  return kinds.map(([kind, name]) => (
    <button
      key={kind}
      type="button"
      aria-pressed={now === kind}
      className={`min-h-8 cursor-pointer border border-line px-2 font-cond font-semibold ${now === kind ? "bg-ink text-panel" : "bg-panel hover:border-ink"}`}
      onClick={() => take(kind)}
    >
      {name}
    </button>
  ));
}

/** "Draw a section": the kinds that are drawn most as buttons, the rest in a list. */
export function DrawSection() {
  const tool = useDesk((s) => s.tool);
  const now = tool?.kind === "section" ? tool.section : null;
  const first: [SectionKind, string][] = [
    ["trunking-plastic", "Trunking"],
    ["mini-trunking", "Mini"],
    ["conduit-plastic", "Conduit"],
    ["capping", "Capping"],
  ];
  return (
    <div role="group" aria-label="Draw a section" className="flex flex-wrap items-center">
      <span className="mr-1.5 text-[13px] text-soft">Draw</span>
      <Kinds kinds={first} now={now} take={takeSectionTool} />
      <select
        aria-label="Draw another kind"
        className="min-h-8 max-w-24 border border-line bg-field px-1"
        value={now && !first.some(([k]) => k === now) ? now : ""}
        onChange={(e) => takeSectionTool(e.target.value as SectionKind)}
      >
        <option value="" disabled>
          other
        </option>
        {sectionKinds
          .filter((k) => !first.some(([x]) => x === k))
          .map((k) => (
            <option key={k} value={k}>
              {sectionRows[k].name}
            </option>
          ))}
      </select>
    </div>
  );
}

/** Takes the tool in hand that draws a section of some kind over the joists of a deck. */
function takeDeckTool(section: SectionKind): void {
  const sizes = sectionSizes(section, useDesk.getState().catalogue);
  const size = sizes.find((s) => s.id === USUAL[section]) ?? sizes[0];
  if (size)
    useDesk.setState({
      tool: { kind: "deck-section", section, size: size.id, deck: null, places: [] },
      selection: null,
    });
}

const overJoists: readonly [SectionKind, string][] = [
  ["tray", "Tray"],
  ["basket", "Basket"],
  ["ladder", "Ladder"],
  ["conduit-metal", "Conduit"],
  ["trunking-plastic", "Trunking"],
];

/** "Draw over the joists": on a deck that lies open; says so where none does. */
export function DrawOnDeck() {
  const tool = useDesk((s) => s.tool);
  const job = useDesk((s) => s.job);
  const now = tool?.kind === "deck-section" ? tool.section : null;
  if (!decksToDrawOn(job).length)
    return <span className="text-[13px] text-soft">No deck lies open: over joists nothing is drawn.</span>;
  return (
    <div role="group" aria-label="Draw over the joists" className="flex flex-wrap items-center">
      <span className="mr-1.5 text-[13px] text-soft">Draw over the joists</span>
      <Kinds kinds={overJoists} now={now} take={takeDeckTool} />
    </div>
  );
}
