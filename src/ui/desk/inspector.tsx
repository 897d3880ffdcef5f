"use client";
import { useEffect, useRef } from "react";
import { PointForm } from "../stages/point-form";
import { useDesk, usePlan } from "../job/store";
import { NextStep } from "./next-step";
import { FindingsList } from "./findings-list";
import {
  BoardCablePanel,
  CircuitsPanel,
  DrumsPanel,
  GroupForm,
  JoistCard,
  OutsidePanel,
  Palette,
  PointsPanel,
  RoutesPanel,
  RunDetails,
  SectionForm,
  SectionsPanel,
  SettingsPanel,
  SuppliesPanel,
  SurveyPanel,
  WallForm,
  WorkPanel,
} from "./later";

/** What is picked, what the stage needs, and what is to settle. */
export function Inspector() {
  const stage = useDesk((s) => s.stage);
  const picked = useDesk((s) =>
    s.selection
      ? `${s.selection.kind} ${"id" in s.selection ? s.selection.id : "ids" in s.selection ? s.selection.ids.length : `${s.selection.deck} ${s.selection.joist}`}`
      : "",
  );
  const top = useRef<HTMLDivElement>(null);
  // What has just been picked is read from its top.
  useEffect(() => {
    const aside = top.current?.closest("aside");
    if (picked && aside && !picked.startsWith("circuit")) aside.scrollTop = 0;
  }, [picked]);
  return (
    <div ref={top} className="grid gap-4">
      {stage === "survey" || stage === "points" || stage === "circuits" || stage === "routes" ? <NextStep /> : null}
      {stage === "board" ? <BoardCablePanel /> : null}
      {stage === "points" ? <Palette /> : null}
      <Picked />
      <FindingsList picked />
      {stage === "survey" ? <SurveyPanel /> : null}
      {stage === "points" ? <PointsPanel /> : null}
      {stage === "circuits" ? <CircuitsPanel /> : null}
      {stage === "containment" ? <SectionsPanel /> : null}
      {stage === "outside" ? <OutsidePanel /> : null}
      {stage === "materials" ? (
        <>
          <DrumsPanel />
          <SuppliesPanel />
        </>
      ) : null}
      {stage === "site-book" ? <WorkPanel /> : null}
      <FindingsList picked={false} />
      {stage === "routes" ? <RoutesPanel /> : null}
      {["routes", "fixings", "ends", "materials"].includes(stage) ? <SettingsPanel /> : null}
    </div>
  );
}

function Picked() {
  const selection = useDesk((s) => s.selection);
  const job = useDesk((s) => s.shown);
  const house = useDesk((s) => s.house);
  const plan = usePlan();
  const stage = useDesk((s) => s.stage);
  if (selection?.kind === "point") {
    const point = job.points.find((p) => p.id === selection.id);
    return point ? <PointForm key={point.id} point={point} /> : null;
  }
  if (selection?.kind === "points") return <GroupForm ids={selection.ids} />;
  if (selection?.kind === "run" && stage !== "board") {
    const run = plan?.runs.find((r) => r.id === selection.id);
    return run ? <RunDetails key={run.id} run={run} /> : null;
  }
  if (selection?.kind === "wall") {
    const face = house.faces[house.faceOfWall.get(selection.id) ?? -1];
    return face ? <WallForm key={face.wall.id} face={face} /> : null;
  }
  if (selection?.kind === "section") {
    const section = job.sections.find((s) => s.id === selection.id);
    return section ? <SectionForm key={section.id} section={section} /> : null;
  }
  if (selection?.kind === "joist")
    return <JoistCard deck={selection.deck} joist={selection.joist} span={selection.span} />;
  return stage === "timber" ? (
    <p className="text-soft">
      Press a joist for its windows, limits and marks. Drill from the bearing face, on the centre line. Look and scan
      before drilling; eyes, ears and lungs protected.
    </p>
  ) : null;
}
