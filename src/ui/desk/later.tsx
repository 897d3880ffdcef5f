"use client";
import dynamic from "next/dynamic";

/**
 * What the desk fetches after it stands, so that its first sight is quick; all of it is fetched soon, so that it is
 * there with no signal.
 */
const parts = {
  boardCable: () => import("../stages/board/cable-panel"),
  circuits: () => import("../stages/circuits-panel"),
  group: () => import("../stages/group-form"),
  joist: () => import("../stages/joist-card"),
  points: () => import("../stages/points-panel"),
  routes: () => import("../stages/routes-panel"),
  run: () => import("../stages/run-details"),
  survey: () => import("../stages/survey/survey-panel"),
  drums: () => import("../stages/drums-panel"),
  supplies: () => import("../stages/supplies-panel"),
  work: () => import("../stages/work-panel"),
  section: () => import("../stages/containment/section-form"),
  sections: () => import("../stages/containment/sections-panel"),
  sectionBench: () => import("../stages/containment/section-bench"),
  outside: () => import("../stages/outside/outside-panel"),
  outsideStage: () => import("../stages/outside/outside-stage"),
  oldWiring: () => import("../stages/old-wiring/old-wiring-sheet"),
  wall: () => import("../stages/survey/wall/wall-form"),
  containment: () => import("../stages/sheets/containment"),
  boring: () => import("../stages/boring-sheet"),
  instruments: () => import("../instruments/drawer"),
  find: () => import("./find-box"),
  keys: () => import("./keys-list"),
  print: () => import("./print-desk"),
  tour: () => import("./tour"),
  dxf: () => import("../stages/survey/dxf-rooms"),
};

export const BoardCablePanel = dynamic(() => parts.boardCable().then((m) => m.BoardCablePanel));
export const CircuitsPanel = dynamic(() => parts.circuits().then((m) => m.CircuitsPanel));
export const GroupForm = dynamic(() => parts.group().then((m) => m.GroupForm));
export const JoistCard = dynamic(() => parts.joist().then((m) => m.JoistCard));
export const PointsPanel = dynamic(() => parts.points().then((m) => m.PointsPanel));
export const Palette = dynamic(() => parts.points().then((m) => m.Palette));
export const RoutesPanel = dynamic(() => parts.routes().then((m) => m.RoutesPanel));
export const SettingsPanel = dynamic(() => parts.routes().then((m) => m.SettingsPanel));
export const RunDetails = dynamic(() => parts.run().then((m) => m.RunDetails));
export const SurveyPanel = dynamic(() => parts.survey().then((m) => m.SurveyPanel));
export const DrumsPanel = dynamic(() => parts.drums().then((m) => m.DrumsPanel));
export const SuppliesPanel = dynamic(() => parts.supplies().then((m) => m.SuppliesPanel));
export const WorkPanel = dynamic(() => parts.work().then((m) => m.WorkPanel));
export const WallForm = dynamic(() => parts.wall().then((m) => m.WallForm));
export const OutsidePanel = dynamic(() => parts.outside().then((m) => m.OutsidePanel));
export const SectionForm = dynamic(() => parts.section().then((m) => m.SectionForm));
export const SectionsPanel = dynamic(() => parts.sections().then((m) => m.SectionsPanel));
export const SectionBench = dynamic(() => parts.sectionBench().then((m) => m.SectionBench));
export const ContainmentSheet = dynamic(() => parts.containment().then((m) => m.ContainmentSheet));
export const BoringSheet = dynamic(() => parts.boring().then((m) => m.BoringSheet));
export const InstrumentDrawer = dynamic(() => parts.instruments().then((m) => m.InstrumentDrawer));
export const Tour = dynamic(() => parts.tour().then((m) => m.Tour));
export const PrintDesk = dynamic(() => parts.print().then((m) => m.PrintDesk));
export const KeysList = dynamic(() => parts.keys().then((m) => m.KeysList));
export const FindBox = dynamic(() => parts.find().then((m) => m.FindBox));

/** Fetches all of it. What cannot be had now is asked for again when it is wanted. */
export const fetchRest = (): void => void Promise.allSettled(Object.values(parts).map((get) => get()));
