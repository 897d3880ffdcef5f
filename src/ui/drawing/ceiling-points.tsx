"use client";
import { useMemo } from "react";
import { insidePolygon } from "../../core/base/polygon";
import { accessories } from "../../core/rules/accessories";
import { isPicked } from "../job/picking";
import { useDesk } from "../job/store";

/** Over the unrolled walls: what hangs on the ceiling of the room, to be picked where no wall shows it. */
export function CeilingPoints({ roomId }: { roomId: string }) {
  const house = useDesk((s) => s.house);
  const selection = useDesk((s) => s.selection);
  const points = useMemo(() => {
    const room = house.job.rooms.find((r) => r.id === roomId);
    const level = house.job.storeys.find((s) => s.id === room?.storey)?.level ?? 0;
    return house.points.filter(({ point, deck }) => {
      const l = house.decks[deck];
      if (!room || !l || point.place.on !== "deck") return false;
      // The deck over the room, not the one it stands on.
      return l.underside > level && l.underside < level + room.height + 600 && insidePolygon(room.outline, point.place);
    });
  }, [house, roomId]);
  if (!points.length) return null;
  return (
    <div
      className="no-print flex flex-wrap items-center gap-1 text-[12.5px]"
      role="group"
      aria-label="On the ceiling"
      data-ceiling
    >
      <span className="text-soft">On the ceiling</span>
      {points.map(({ point }) => (
        <button
          key={point.id}
          type="button"
          className={`min-h-6 cursor-pointer border px-1.5 ${isPicked(selection, point.id) ? "border-accent bg-accent text-onaccent" : "border-line bg-panel hover:border-ink"}`}
          title={point.name || accessories[point.kind].name}
          onClick={() => useDesk.setState({ selection: { kind: "point", id: point.id } })}
        >
          {point.label}
        </button>
      ))}
    </div>
  );
}
