import { circuit } from "../book/limits/by-hand.fixture";
import type { Plan } from "../laid/laid";

export const board = (wall: string, u: number, v = 1500) => ({
  id: "db",
  label: "DB",
  kind: "board",
  mount: "surface",
  ways: 12,
  place: { on: "wall", wall, u, v },
});
export const light = (id: string, x: number, y: number, of = "d") => ({
  id,
  label: id.toUpperCase(),
  kind: "light",
  place: { on: "deck", deck: of, x, y, face: "ceiling" },
});
export const lighting = (...points: string[]) =>
  circuit({ kind: "lighting", device: { rating: 6 }, cable: "te-1.0", points });
export const stops = (p: Plan): string[] => p.facts.filter((f) => f.severity === "stop").map((f) => f.rule);
