// Made by scripts/registry.mjs from the files of this folder.
import type { Calculator } from "./calculator";
import armourCut from "./armour.cut";
import bathCheck from "./bath.check";
import bendConduit90 from "./bend.conduit-90";
import bendConduitSet from "./bend.conduit-set";
import bendRadius from "./bend.radius";
import boardOrder from "./board.order";
import chaseDepth from "./chase.depth";
import circuitCheck from "./circuit.check";
import circuitCompare from "./circuit.compare";
import circuitSpurs from "./circuit.spurs";
import clipConduit from "./clip.conduit";
import clipFire from "./clip.fire";
import clipLayout from "./clip.layout";
import clipSpacing from "./clip.spacing";
import clipTrunking from "./clip.trunking";
import cookerDemand from "./cooker.demand";
import fillPick from "./fill.pick";
import fillSpace from "./fill.space";
import fillTerm from "./fill.term";
import foldSet from "./fold.set";
import foldTray from "./fold.tray";
import foldTrunking from "./fold.trunking";
import glandPick from "./gland.pick";
import glandRow from "./gland.row";
import kitchenCheck from "./kitchen.check";
import lightingWire from "./lighting.wire";
import materialsCut from "./materials.cut";
import miCable from "./mi.cable";
import miStrip from "./mi.strip";
import outsideBuried from "./outside.buried";
import outsideFall from "./outside.fall";
import outsideLights from "./outside.lights";
import outsideOverhead from "./outside.overhead";
import tailsLength from "./tails.length";
import testInsulation from "./test.insulation";
import testRadial from "./test.radial";
import testRing from "./test.ring";
import testRingRead from "./test.ring-read";
import timberCheck from "./timber.check";
import timberStud from "./timber.stud";
import timberWindows from "./timber.windows";
import zonesCheck from "./zones.check";
import zonesWall from "./zones.wall";

export const list: readonly Calculator[] = [
  armourCut,
  bathCheck,
  bendConduit90,
  bendConduitSet,
  bendRadius,
  boardOrder,
  chaseDepth,
  circuitCheck,
  circuitCompare,
  circuitSpurs,
  clipConduit,
  clipFire,
  clipLayout,
  clipSpacing,
  clipTrunking,
  cookerDemand,
  fillPick,
  fillSpace,
  fillTerm,
  foldSet,
  foldTray,
  foldTrunking,
  glandPick,
  glandRow,
  kitchenCheck,
  lightingWire,
  materialsCut,
  miCable,
  miStrip,
  outsideBuried,
  outsideFall,
  outsideLights,
  outsideOverhead,
  tailsLength,
  testInsulation,
  testRadial,
  testRing,
  testRingRead,
  timberCheck,
  timberStud,
  timberWindows,
  zonesCheck,
  zonesWall,
];
