"use client";
import { toast } from "sonner";
import { create } from "zustand";
import type { LaserMeasure } from "../../instruments/port";
import { practiceRooms } from "../../instruments/practice-rooms";
import { type LaserSetting, simulatedLaser } from "../../instruments/simulated-laser";
import { words } from "../kit/number-words";

/** The laser in hand: one for the page. Another device of the port's shape may be put in its place. */
export const useLaser = create<{ laser: LaserMeasure; setting: LaserSetting; practice: number; last: string }>(() => ({
  laser: simulatedLaser("steady", 1),
  setting: "steady",
  practice: 0,
  last: "",
}));

let seed = 1;
export function setLaser(setting: LaserSetting): void {
  useLaser.setState({ setting, laser: simulatedLaser(setting, ++seed) });
}

/** A field that takes a measure: a number field, or the line a walk is written in. */
const takes = (el: Element | null): el is HTMLInputElement =>
  el instanceof HTMLInputElement && (el.matches("[inputmode=decimal]") || el.matches("[data-walk]"));

function put(el: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!.call(el, text);
  el.dispatchEvent(new Event("input", { bubbles: true }));
}

/** The next field after this one in its dialog or panel; itself when it is the last. */
function nextField(el: HTMLInputElement): HTMLInputElement | null {
  const around = el.closest("[role=dialog], aside, main") ?? document;
  const all = [...around.querySelectorAll<HTMLInputElement>("input[inputmode=decimal]")].filter(
    (x) => !x.disabled && x.offsetParent !== null,
  );
  return all[all.indexOf(el) + 1] ?? null;
}

/** Takes a reading into the field in focus and moves on to the next. In a walk it adds the next side of the practice room with its turn. */
export async function takeReading(): Promise<void> {
  let el = document.activeElement;
  // Beside a walk there is one place for a reading, wherever the cursor is.
  const walk = takes(el) ? null : el?.closest("[role=dialog]")?.querySelector<HTMLInputElement>("[data-walk]");
  if (walk) {
    walk.focus();
    el = walk;
  }
  if (!takes(el)) {
    toast("Put the cursor into a length first; the reading goes where the cursor is.");
    return;
  }
  const { laser, practice } = useLaser.getState();
  if (el.matches("[data-walk]")) {
    const room = practiceRooms[practice]!;
    const done = el.value.trim()
      ? el.value
          .trim()
          .split(/\s+/)
          .filter((t) => /^[\d.?]/.test(t)).length
      : 0;
    if (done >= room.sides.length) {
      toast(`${room.name} has ${room.sides.length} sides; all are measured.`);
      return;
    }
    const r = await laser.measure(room.sides[done]!);
    useLaser.setState({ last: r.words });
    if (r.length === null) return void toast(r.words);
    put(el, `${el.value.trim()}${el.value.trim() ? " " : ""}${r.length} ${room.turns[done]} `);
    return;
  }
  const r = await laser.measure(words.parse(el.value, "mm") ?? 0);
  useLaser.setState({ last: r.words });
  if (r.length === null) return void toast(r.words);
  put(el, String(r.length));
  const next = nextField(el);
  if (next) {
    next.focus();
    next.select();
  } else el.blur();
}
