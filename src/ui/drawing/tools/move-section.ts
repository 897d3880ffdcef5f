import type { PointerEvent as RPointer } from "react";
import { toast } from "sonner";
import type { StripWall } from "../../../core/house/unrolled";
import { stretchMeasures, withStretchAt } from "../../../core/job/move-section";
import type { Section, SectionPlace } from "../../../core/job/model";
import { withJunctions } from "../../../core/job/section-junctions";
import { change, edit, endPreview, preview, useDesk } from "../../job/store";
import { drag } from "./drag";

const GRID = 10;
const THRESHOLD = 4;

/** Takes hold of a stretch of a section: it is picked, and moves sideways with the pointer, what adjoins it with it. */
export function dragSection(
  e: RPointer,
  section: Section,
  to: number,
  w: StripWall,
  toDrawing: (m: { clientX: number; clientY: number }) => { x: number; y: number },
): void {
  if (e.button !== 0) return;
  e.stopPropagation();
  useDesk.setState({ selection: { kind: "section", id: section.id } });
  const m = stretchMeasures(section).find((x) => x.to === to);
  if (!m) return;
  const most = m.measure === "u" ? w.face.shape.length : w.face.shape.height;
  const at = (p: PointerEvent): number => {
    const d = toDrawing(p);
    const raw = m.measure === "u" ? d.x - w.x : -d.y;
    const step = p.altKey ? 1 : GRID;
    return Math.min(most, Math.max(0, Math.round(raw / step) * step));
  };
  dragPath(e, section, (p) => withStretchAt(section, to, at(p)));
}

/** Leads a section another way as the pointer goes, with what lies over or under it; the last is kept, or refused in words. */
export function dragPath(e: RPointer, section: Section, pathAt: (p: PointerEvent) => SectionPlace[]): void {
  drag<Section>(e, {
    threshold: THRESHOLD,
    changeAt: (p) => ({ ...section, path: withJunctions(useDesk.getState().job, section.path, pathAt(p)) }),
    show: (next) => preview([change("sections", section.id, next)]),
    drop: endPreview,
    make: (next) => {
      endPreview();
      const refused = edit([change("sections", section.id, next)]);
      if (refused) toast.error(refused);
    },
  });
}
