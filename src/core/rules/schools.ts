import { z } from "zod";

/** The schools of practice this edition computes with; the user picks, both are explained. */
export const schoolsSchema = z.object({
  /** Notches in joists: the stricter new-home warranty figures, or the older on-site rule of thumb. */
  notch: z.enum(["warranty", "on-site"]).default("warranty"),
  /** Clip spacing where the cable cannot be reached after closing: a fixed spacing, or the table everywhere. */
  clipOutOfReach: z.enum(["fixed", "table"]).default("fixed"),
});
export type Schools = z.infer<typeof schoolsSchema>;

export interface SchoolQuestion {
  key: keyof Schools;
  question: string;
  options: { value: string; name: string; reason: string }[];
}

export const schoolQuestions: readonly SchoolQuestion[] = [
  {
    key: "notch",
    question: "Notch zone and depth",
    options: [
      { value: "warranty", name: "0.10 to 0.20 of span, 0.15 of depth, top only", reason: "What new-home warranties ask for; a shorter part of the joist and only its top." },
      { value: "on-site", name: "0.07 to 0.25 of span, one eighth of depth", reason: "The older rule of thumb: more of the span, a shallower cut." },
    ],
  },
  {
    key: "clipOutOfReach",
    question: "Clip spacing out of reach",
    options: [
      { value: "fixed", name: "Fixed 450 mm", reason: "Behind board nobody pulls at the cable; it only must not sag or fall." },
      { value: "table", name: "Stay on the table", reason: "One habit everywhere, and nothing to argue about at inspection." },
    ],
  },
];
