/** Usual rise of a hole inward, mm. Source: trade habit. */
export const RISE = 15;

/** A hole through a wall that rises inward: its angle from level (degrees) and its length along the bit (mm). */
export const fallOf = (through: number, rise: number): { angle: number; bore: number } => ({
  angle: (Math.atan2(rise, through) * 180) / Math.PI,
  bore: Math.hypot(through, rise),
});
