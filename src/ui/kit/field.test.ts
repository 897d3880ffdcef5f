// @vitest-environment jsdom
import { type FunctionComponent, createElement } from "react";
import { flushSync } from "react-dom";
import { createRoot } from "react-dom/client";
import { afterEach, describe, expect, it } from "vitest";
import { create } from "zustand";
import { NumberField, TextField } from "./field";

/** Until React has put on the page what it was told, and no longer. */
const drawn = async (): Promise<void> => {
  for (let i = 0; i < 5; i++) await Promise.resolve();
};

/** A field over a value that others change too, in a page. */
function standing<V extends string | number>(
  of: typeof NumberField | typeof TextField,
  value: V,
  taken: (x: V) => string | null = () => null,
) {
  const store = create(() => ({ value }));
  const stored: V[] = [];
  const Host = () =>
    createElement(of as FunctionComponent<Record<string, unknown>>, {
      label: "From left",
      value: store((s) => s.value),
      min: 0,
      max: 3000,
      onCommit: (x: V) => {
        const refused = taken(x);
        if (refused) return refused;
        stored.push(x);
        store.setState({ value: x });
        return null;
      },
    });
  const root = createRoot(document.body.appendChild(document.createElement("div")));
  flushSync(() => root.render(createElement(Host)));
  const input = document.querySelector("input")!;
  return {
    input,
    stored,
    others: async (x: V) => {
      store.setState({ value: x });
      await drawn();
    },
    leave: async () => {
      input.blur();
      await drawn();
    },
    type: async (text: string) => {
      input.focus();
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!.call(input, text);
      input.dispatchEvent(new Event("input", { bubbles: true }));
      await drawn();
    },
    enter: async () => {
      input.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }));
      await drawn();
    },
    fault: () => document.querySelector('[role="alert"]')?.textContent ?? null,
  };
}
afterEach(() => document.body.replaceChildren());

describe.each([
  { of: NumberField, was: 2500, theirs: 2600, typed: "2550", mine: 2550 },
  { of: TextField, was: "Lights", theirs: "Lights up", typed: "Lights down", mine: "Lights down" },
])("a field of %s", ({ of, was, theirs, typed, mine }) => {
  it("left just as what another stored comes in shows that, and stores nothing", async () => {
    const f = standing<string | number>(of, was);
    f.input.focus();
    await f.others(theirs);
    await f.leave();
    expect([f.stored, f.input.value]).toEqual([[], String(theirs)]);
  });

  it("stores what was typed on Enter, once, though it is left after", async () => {
    const f = standing<string | number>(of, was);
    await f.type(typed);
    await f.enter();
    await f.leave();
    expect([f.stored, f.input.value]).toEqual([[mine], typed]);
    await f.others(was);
    expect(f.input.value).toBe(String(was));
  });

  it("keeps what is refused as typed, with why", async () => {
    const f = standing<string | number>(of, was, () => "From left 2550 mm is in a window.");
    await f.type(typed);
    await f.enter();
    expect([f.input.value, f.fault(), f.stored]).toEqual([typed, "From left 2550 mm is in a window.", []]);
  });
});

describe("a number", () => {
  it("is read in the units of the trade and stands as it was understood", async () => {
    const f = standing(NumberField, 2500);
    await f.type("2.55 m");
    await f.enter();
    expect([f.stored, f.input.value]).toEqual([[2550], "2550"]);
  });

  it("out of its limits is refused in words, and what was typed stays", async () => {
    const f = standing(NumberField, 2500);
    await f.type("3100");
    await f.leave();
    expect([f.stored, f.input.value]).toEqual([[], "3100"]);
    expect(f.fault()).toBe("From left is 3\u202f100; it must be between 0 and 3\u202f000 mm.");
  });
});
