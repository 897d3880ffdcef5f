import type { Circuit } from "../../job/model";

/** Device of a socket radial in 2.5 mm², A. */
export const RADIAL_RATING = 20;

/** A socket circuit as two radials: its points parted as given, each spur with the point it starts at, the second on a way of its own. */
export function twoRadials(
  c: Circuit,
  first: readonly string[],
  second: readonly string[],
  way: number | null,
): [Circuit, Circuit] {
  const radial = (points: readonly string[]): Circuit => ({
    ...c,
    kind: "radial",
    device: { ...c.device, rating: RADIAL_RATING },
    points: [...points],
    order: "find",
    spurs: c.spurs.filter((s) => points.includes(s.from)),
  });
  return [radial(first), { ...radial(second), id: `${c.id.slice(0, 38)}-2`, label: `${c.label.slice(0, 10)}-2`, way }];
}
