/** Parts of the work that may be notifiable. */
export const notifyReasons = ["new-circuit", "board", "special", "kitchen", "outdoors", "addition"] as const;
export type NotifyReason = (typeof notifyReasons)[number];

/**
 * What is notifiable by country, and by which edition; `room`: a room with a bath counts as a whole, not its zones alone. A country
 * without a row is asked about. A working aid: the local authority and licensed practice decide.
 */
export const notifyRules: Readonly<
  Partial<Record<string, { source: string; reasons: readonly NotifyReason[]; room: boolean }>>
> = {
  england: {
    source: "Approved Document P, 2013 edition for England",
    reasons: ["new-circuit", "board", "special"],
    room: false,
  },
  wales: {
    source: "Approved Document P, 2006 edition for Wales",
    reasons: ["new-circuit", "board", "special", "kitchen", "outdoors"],
    room: true,
  },
};
