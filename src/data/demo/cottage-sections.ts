const wall = (w: string, u: number, v: number) => ({ on: "wall", wall: w, u, v });
const deck = (id: string, x: number, y: number) => ({ on: "deck", deck: id, x, y });

/** Containment of the cottage: a drop to the board folded by hand over a heating pipe, surface work in the bedroom and the loft, a bent tube in the shed. */
export const sections = [
  {
    id: "t1",
    label: "T1",
    kind: "trunking-plastic",
    size: "50x50",
    corners: "folded",
    path: [
      wall("hall-w3", 2775, 2400),
      wall("hall-w3", 2775, 1950),
      wall("hall-w3", 3200, 1950),
      wall("hall-w3", 3200, 1500),
    ],
  },
  {
    id: "t2",
    label: "T2",
    kind: "mini-trunking",
    size: "38x16",
    path: [
      wall("bed2-w1", 2400, 300),
      wall("bed2-w1", 2400, 110),
      wall("bed2-w1", 3550, 110),
      wall("bed2-w2", 0, 110),
      wall("bed2-w2", 4700, 110),
      wall("bed2-w2", 4700, 300),
    ],
  },
  {
    id: "t3",
    label: "T3",
    kind: "conduit-metal",
    size: "25",
    corners: "folded",
    path: [wall("shed-w3", 1500, 1080), wall("shed-w3", 1500, 600), wall("shed-w3", 1310, 600)],
  },
  {
    id: "t4",
    label: "T4",
    kind: "tray",
    size: "100",
    path: [deck("loft-front", 700, 2600), deck("loft-front", 4800, 2600)],
  },
];
