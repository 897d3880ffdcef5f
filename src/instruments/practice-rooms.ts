/** Rooms for practising with the simulated laser: true inside lengths in the order walked, mm, and the turns between them. Made up. */
export const practiceRooms: { name: string; sides: number[]; turns: string[] }[] = [
  { name: "Square bedroom", sides: [3612, 2804, 3612, 2804], turns: ["r", "r", "r", "r"] },
  { name: "L-shaped kitchen", sides: [4205, 3108, 1602, 1210, 2603, 4318], turns: ["r", "r", "l", "r", "r", "r"] },
  {
    name: "Room with a splayed corner",
    sides: [3005, 1000, 2402, 3712.1, 3109.1],
    turns: ["r45", "r45", "r", "r", "r"],
  },
];
