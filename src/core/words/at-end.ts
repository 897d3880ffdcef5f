import { count, mm } from "../base/figures";
import { roomServed } from "../house/rooms-of";
import type { House } from "../house/house";
import type { Job } from "../job/model";
import type { EndCable } from "../plan/end-figures";
import type { FaceHole } from "../plan/gland-faces";
import type { SectionFigures } from "../plan/section-figures";

const tenth = (x: number): number => Math.round(x * 10) / 10;

/** How a cable is called at an end: its circuit and the point at its other end. */
export const cableName = (job: Job, c: Pick<EndCable, "run" | "other">): string =>
  `${job.circuits.find((x) => x.id === c.run.circuit)?.label ?? ""} to ${job.points.find((x) => x.id === c.other)?.label ?? c.other}`;

/** The room that a point serves, by name; empty where it lies in none. */
export const roomName = (h: House, point: string): string =>
  h.job.rooms.find((r) => r.id === roomServed(h, point))?.name ?? "";

export const entryWords = (entry: EndCable["end"]["entry"]): string =>
  entry === "behind" ? "from behind" : `at the ${entry}`;

/** How a hole of a face comes about. */
export const holeHowWords: Record<FaceHole["how"], string> = {
  drill: "drill",
  there: "there already",
  "open-up": "there, to be opened up",
  reducer: "there and larger: with a reducer",
};

/** How full a section is. */
export const fillWords = ({ fill }: Pick<SectionFigures, "fill">): string =>
  fill.unit === "%"
    ? `${fill.used.toFixed(1)} % used · most ${fill.most}`
    : fill.unit === "mm"
      ? `${mm(tenth(fill.used))} mm side by side · room ${mm(tenth(fill.most))}`
      : `${count(fill.used, "cable")}, each on its own cleats`;
