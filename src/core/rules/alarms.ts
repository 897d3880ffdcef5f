/** How far from an alarm any place of its room may be, on plan, mm. Typical. Source: BS 5839-6, grade and edition to be checked. */
export const ALARM_COVER = { "smoke-alarm": 7500, "heat-alarm": 5300 } as const;
/** An alarm on a ceiling keeps so far from walls and lights, mm. Typical. Source: BS 5839-6. */
export const ALARM_OFF = 300;

export type CoveringAlarm = keyof typeof ALARM_COVER;
export const isCovering = (kind: string): kind is CoveringAlarm => Object.hasOwn(ALARM_COVER, kind);
