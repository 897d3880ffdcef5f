import { type Job, canonical, jobSchema } from "../../core/job/model";
import { FIRST, LOFT, decks, fixtures, openings, rooms, walls } from "./cottage-building";
import { extensions, grounds, lightRows, outsideWays, posts } from "./cottage-outside";
import { sections } from "./cottage-sections";
import { packs, stock } from "./cottage-supplies";
import { circuits, points } from "./cottage-wiring";

/**
 * Tern Cottage: a made-up two-storey stone end-terrace. Kitchen and hall to the south of a spine wall, the glaze room to the
 * north; a landing, a shower room and two bedrooms over them, a loft under the roof, and a detached kiln shed across the yard,
 * fed by armour along the garden wall. Old and new work mixed. It starts with real problems in it: an outlet near the sink, an
 * old hole too near a bearing, a full trunking, another in which the ring lies with the
 * radial and carries too little, drums too short, a kiln circuit without a way, a light on a socket circuit that
 * no label tells of; and with a steel beam, a foil-backed wall and a deck of engineered joists, which nothing may be bored
 * through by rule of thumb.
 */
export function ternCottage(id = "tern-cottage"): Job {
  return canonical(
    jobSchema.parse({
      id,
      name: "Tern Cottage",
      address: "Made-up demo: stone end-terrace with a glaze room",
      dwelling: { country: "england", newDwelling: false, occupied: true },
      // An old supply: earth from the sheath, loop as measured, a gas bond that nobody has seen at its far end.
      supply: {
        earthing: "TN-S",
        ze: 0.52,
        mainSwitch: 63,
        bonding: [
          { service: "water", csa: 10, seen: true },
          { service: "gas", csa: 6, seen: false },
        ],
      },
      storeys: [
        { id: "ground", name: "Ground floor", level: 0, height: 2400 },
        { id: "first", name: "First floor", level: FIRST, height: 2300 },
        { id: "loft", name: "Loft", level: LOFT, height: 2400 },
      ],
      rooms,
      walls,
      openings,
      fixtures,
      decks,
      points,
      circuits,
      pins: [],
      foundCables: [
        {
          id: "old-1",
          from: "board",
          to: "s17",
          colours: "old",
          fate: "keep",
          // Traced with the detector from the board up to the ceiling.
          traced: [{ wall: "hall-w3", from: { u: 3300, v: 1550 }, to: { u: 3300, v: 2325 } }],
          note: "In a white sheath; looks like 2.5, not measured",
        },
        { id: "old-2", from: "s17", to: "s16", colours: "old", fate: "keep" },
      ],
      foundTrunkings: [
        {
          id: "trunking-1",
          wall: "hall-w3",
          size: "38x16",
          from: { u: 3300, v: 1520 },
          to: { u: 3300, v: 2400 },
          holds: [
            { cable: "te-2.5", count: 3 },
            { cable: "te-1.0", count: 2 },
          ],
        },
      ],
      sections,
      grounds,
      posts,
      outsideWays,
      lightRows,
      extensions,
      drums: [
        { id: "drum-1", label: "Drum 1", cable: "te-2.5", length: 100_000, mark: 12_400 },
        { id: "drum-2", label: "Drum 2", cable: "te-2.5", length: 18_000, mark: 82_000, rising: true },
        { id: "drum-3", label: "Drum 3", cable: "te-1.0", length: 100_000, mark: 100_000, rising: false },
        { id: "drum-4", label: "Drum 4", cable: "swa-3x10", length: 16_000 },
      ],
      work: { people: ["Electrician 1", "Electrician 2"] },
      stock,
      packs,
    }),
  );
}
