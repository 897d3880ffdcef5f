"use client";
import { useState } from "react";
import { useDesk } from "../job/store";
import { Sheet } from "../kit/dialog";
import { CheckField } from "../kit/field";
import { commands } from "./commands";
import { letterKeysOn, setLetterKeys } from "./letter-keys";

const more: readonly [what: string, keys: string][] = [
  ["Move what is picked by 1, by 10", "arrows, Shift arrows"],
  ["Type the distance of what is picked", "0 to 9"],
  ["Pick several", "Shift press"],
  ["One figure up or down in a field", "↑ ↓"],
];

/** All keys of the desk, and the switch for those of one letter. */
export function KeysList() {
  const open = useDesk((s) => s.keysOpen);
  const [on, setOn] = useState(letterKeysOn);
  return (
    <Sheet
      open={open}
      onOpenChange={(o) => useDesk.setState({ keysOpen: o })}
      wide
      title="Keys"
      about="Everything can be done without a mouse: Tab goes from part to part, Enter presses."
    >
      <CheckField
        label="One letter alone is a command"
        value={on}
        onCommit={(x) => {
          setLetterKeys(x);
          setOn(x);
        }}
      />
      <p className="mb-2 text-[13px] text-soft">Off, the find box still has every command: Ctrl K.</p>
      <dl className="grid gap-x-6 sm:grid-cols-2" data-keys>
        {[...commands.filter((c) => c.keys).map((c) => [c.name, c.keys] as const), ...more].map(([name, keys]) => (
          <div
            key={name}
            className="flex min-h-8 items-center justify-between gap-3 border-b border-dotted border-line"
          >
            <dt>{name}</dt>
            <dd>
              <kbd className="border border-line px-1.5 font-mono text-[12.5px]">{keys}</kbd>
            </dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
