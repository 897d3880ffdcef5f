import { boardOfCircuit, mainBoard } from "../job/boards";
import { isMains } from "../job/mains";
import { type Circuit, type Job, circuitSchema } from "../job/model";
import type { Change } from "../job/patch";
import { type PointKind, accessories, isLight, isSignal, isSocket, isSwitch } from "../rules/accessories";
import { type NewId, changeOf } from "./change-of";

/**
 * What a new circuit of a kind starts with: letters of its label, a name, its device (A) and cable. Source: On-site practice for
 * dwellings; every figure is judged like any other afterwards. No letters are those of a point.
 */
export const circuitUsuals: Record<Circuit["kind"], { letters: string; name: string; rating: number; cable: string }> =
  {
    ring: { letters: "R", name: "Sockets", rating: 32, cable: "te-2.5" },
    radial: { letters: "RD", name: "Radial", rating: 20, cable: "te-2.5" },
    lighting: { letters: "LI", name: "Lights", rating: 6, cable: "te-1.0" },
    cooker: { letters: "CK", name: "Cooker", rating: 32, cable: "te-6" },
    shower: { letters: "SH", name: "Shower", rating: 40, cable: "te-10" },
    fixed: { letters: "FX", name: "Fixed appliance", rating: 16, cable: "te-2.5" },
    signal: { letters: "NET", name: "Data", rating: 1, cable: "data-4p" },
    outbuilding: { letters: "OB", name: "Outbuilding", rating: 32, cable: "swa-3x4" },
  };

/** The first way of a board that no circuit has; null where it is full or there is none. */
function freeWay(job: Job, taken: ReadonlySet<number>): number | null {
  const ways = mainBoard(job)?.ways ?? 0;
  for (let w = 1; w <= ways; w++) if (!taken.has(w)) return w;
  return null;
}

const waysTaken = (job: Job): Set<number> =>
  new Set(job.circuits.flatMap((c) => (boardOfCircuit(job, c)?.id === mainBoard(job)?.id ? (c.way ?? []) : [])));

/** Name and cable of the lines that lead to a kind of point without mains. Typical. */
export const signalUsuals: Partial<Record<PointKind, { letters: string; name: string; cable: string }>> = {
  data: { letters: "NET", name: "Data", cable: "data-4p" },
  television: { letters: "AE", name: "Television", cable: "coax-75" },
  telephone: { letters: "TEL", name: "Telephone", cable: "tel-2p" },
  doorbell: { letters: "BEL", name: "Bell", cable: "bell-2" },
};

/** A circuit of a kind with its usual device and cable, on the first free way of the main board. */
export function newCircuit(
  job: Job,
  kind: Circuit["kind"],
  newId: NewId,
  points: readonly string[] = [],
  to?: PointKind,
): Circuit {
  const usual = circuitUsuals[kind];
  const { letters, name, cable } = (kind === "signal" && to !== undefined ? signalUsuals[to] : undefined) ?? usual;
  const { rating } = usual;
  const labels = new Set(job.circuits.map((c) => c.label));
  const names = new Set(job.circuits.map((c) => c.name));
  let n = 1;
  while (labels.has(`${letters}${n}`)) n++;
  return circuitSchema.parse({
    id: newId("c"),
    label: `${letters}${n}`,
    name: names.has(name) ? `${name} ${n}` : name,
    kind,
    device: { curve: "B", rating },
    rcd: kind === "signal" ? null : 30,
    cable,
    way: kind === "signal" ? null : freeWay(job, waysTaken(job)),
    points: [...points],
  });
}

/** The kind of circuit that is made for a point where none is there to join; null for kinds that are asked about. */
export function circuitKindFor(kind: PointKind): Circuit["kind"] | null {
  if (isSocket(kind)) return "ring";
  if (isLight(kind) || isSwitch(kind) || accessories[kind].use === "alarm") return "lighting";
  if (kind === "cooker-control") return "cooker";
  if (kind === "shower-pull-cord") return "shower";
  if (isSignal(kind)) return "signal";
  return null;
}

/** Circuits that were made before there was a board take its ways, in the order of their labels. */
export function waysOfFirstBoard(job: Job, ways: number): Change[] {
  if (mainBoard(job)) return [];
  const waiting = job.circuits
    .filter((c) => c.way === null && c.board === null && isMains(c))
    .sort((a, b) => a.label.localeCompare(b.label, "en", { numeric: true }))
    .slice(0, ways);
  return waiting.map((c, i) => changeOf(job, "circuits", c.id, { ...c, way: i + 1 }));
}
