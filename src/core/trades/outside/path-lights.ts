/** Lights along a path: equal gaps from `end` to `length − end`, alternate sides; one light stands in the middle. Lengths mm. */
export function pathLights(
  length: number,
  count: number,
  end: number,
  sides: 1 | 2,
): { positions: { at: number; side: 1 | 2 }[]; gap: number } {
  if (count === 1) return { positions: [{ at: length / 2, side: 1 }], gap: 0 };
  const gap = (length - 2 * end) / (count - 1);
  return {
    positions: Array.from({ length: count }, (_, i) => ({
      at: end + i * gap,
      side: sides === 2 && i % 2 === 1 ? 2 : 1,
    })),
    gap,
  };
}
