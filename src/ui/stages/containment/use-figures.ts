"use client";
import { useMemo } from "react";
import { type SectionFigures, sectionFigures } from "../../../core/plan/section-figures";
import { useSnapshot } from "../../job/store";

/** The figures of every section, from the newest plan and the house it was worked out for. */
export function useSectionFigures(): SectionFigures[] {
  const { house, plan } = useSnapshot();
  return useMemo(() => (plan ? sectionFigures(house, plan) : []), [house, plan]);
}
