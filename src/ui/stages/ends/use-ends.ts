"use client";
import { useMemo } from "react";
import { type EndFigures, endFigures } from "../../../core/plan/end-figures";
import { useSnapshot } from "../../job/store";

/** The figures of one end, from the newest plan and the house it was worked out for; null without any cable. */
export function useEnd(point: string | null): EndFigures | null {
  const { house, plan } = useSnapshot();
  return useMemo(() => (plan && point !== null ? endFigures(house, plan, point) : null), [house, plan, point]);
}
