"use client";
import { figure } from "../../core/base/figures";
import { type ReactNode, useId, useState } from "react";
import { words } from "./number-words";

const box =
  "w-full min-h-8 border border-line bg-field px-2 py-1 disabled:opacity-60 aria-[invalid=true]:border-stop aria-[invalid=true]:border-2";

/** A labelled row with its fault below it. */
function Row({
  id,
  label,
  unit,
  fault,
  children,
}: {
  id: string;
  label: string;
  unit?: string;
  fault?: string | null;
  children: ReactNode;
}) {
  return (
    <div className="grid grid-cols-[minmax(5.5rem,2fr)_3fr] items-center gap-x-2">
      <label htmlFor={id} className="text-soft text-[13px] leading-tight">
        {label}
        {unit ? <span className="text-soft"> {unit}</span> : null}
      </label>
      <div>{children}</div>
      {fault ? (
        <p id={`${id}-fault`} role="alert" className="col-span-2 mt-0.5 text-[13px] font-medium text-stop">
          {fault}
        </p>
      ) : null}
    </div>
  );
}

/**
 * What is typed over a value, and why it cannot be stored. A value that changes meanwhile takes its place at once, in the same
 * drawing: one drawing later, a field that is left in between would put the old value back over the new.
 */
function useTyped(shown: string) {
  const [over, setOver] = useState(shown);
  const [text, setText] = useState(shown);
  const [fault, setFault] = useState<string | null>(null);
  if (over !== shown) {
    setOver(shown);
    setText(shown);
    setFault(null);
  }
  return { text, setText, fault, setFault };
}

/**
 * A number a person types. Stored when it is left or Enter is pressed; what cannot be stored stays as typed, with a sentence
 * that names the field, the value and what is allowed.
 */
export function NumberField({
  label,
  value,
  onCommit,
  min,
  max,
  unit = "mm",
  name,
  step = 10,
  whole = false,
  disabled,
}: {
  label: string;
  value: number;
  onCommit: (x: number) => string | null | void;
  min?: number;
  max?: number;
  unit?: string;
  name?: string;
  step?: number;
  /** Only whole numbers: a count. */
  whole?: boolean;
  disabled?: boolean;
}) {
  const id = useId();
  // To a tenth, or as fine as the field steps.
  const places = Math.max(1, Math.ceil(-Math.log10(step) - 1e-9));
  const shown = figure(value, places);
  const { text, setText, fault, setFault } = useTyped(shown);
  const commit = (typed: string): void => {
    if (typed.trim() === shown) {
      setFault(null);
      return;
    }
    const n = words.parse(typed, unit);
    const bad = words.fault(label, typed, min, max, unit, whole);
    if (bad !== null || n === null) {
      setFault(bad);
      return;
    }
    const refused = onCommit(n);
    setFault(typeof refused === "string" ? refused : null);
    if (typeof refused === "string") return;
    // What was understood stands in the field when it is left.
    setText(figure(n, places));
  };
  return (
    <Row id={id} label={label} unit={unit} fault={fault}>
      <input
        id={id}
        data-field={name ?? label}
        className={`${box} num text-right`}
        inputMode="decimal"
        autoComplete="off"
        disabled={disabled}
        value={text}
        aria-invalid={fault !== null}
        aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(e) => setText(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={() => commit(text)}
        onKeyDown={(e) => {
          if (e.key === "Enter") commit(text);
          if (e.key === "Escape") {
            setText(shown);
            setFault(null);
            e.currentTarget.blur();
          }
          const n = words.parse(text, unit);
          if ((e.key === "ArrowUp" || e.key === "ArrowDown") && n !== null) {
            e.preventDefault();
            const next = figure(n + (e.key === "ArrowUp" ? 1 : -1) * (e.shiftKey ? step * 10 : step), places);
            setText(next);
            commit(next);
          }
        }}
      />
    </Row>
  );
}

/** A line of text, stored when it is left or Enter is pressed. */
export function TextField({
  label,
  value,
  onCommit,
  most = 80,
  required = true,
  name,
  onDraft,
}: {
  label: string;
  value: string;
  onCommit: (x: string) => string | null | void;
  most?: number;
  required?: boolean;
  name?: string;
  /** Told of every keystroke, for a form that is sent whole. */
  onDraft?: (typed: string) => void;
}) {
  const id = useId();
  const { text, setText, fault, setFault } = useTyped(value);
  const commit = (): void => {
    const t = text.trim();
    if (t === value) return;
    if (required && !t) return setFault(`${label} is empty; give it 1 to ${most} characters.`);
    if (t.length > most) return setFault(`${label} has ${t.length} characters; at most ${most} fit.`);
    const refused = onCommit(t);
    setFault(typeof refused === "string" ? refused : null);
  };
  return (
    <Row id={id} label={label} fault={fault}>
      <input
        id={id}
        data-field={name ?? label}
        className={box}
        value={text}
        autoComplete="off"
        aria-invalid={fault !== null}
        aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(e) => {
          setText(e.target.value);
          onDraft?.(e.target.value);
        }}
        onBlur={commit}
        onKeyDown={(e) => e.key === "Enter" && commit()}
      />
    </Row>
  );
}

/** A choice from a short list. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onCommit,
  name,
  disabled,
}: {
  label: string;
  value: T;
  options: readonly { value: T; name: string }[];
  onCommit: (x: T) => string | null | void;
  name?: string;
  disabled?: boolean;
}) {
  const id = useId();
  const [fault, setFault] = useState<string | null>(null);
  return (
    <Row id={id} label={label} fault={fault}>
      <select
        id={id}
        data-field={name ?? label}
        className={box}
        value={value}
        disabled={disabled}
        onChange={(e) => {
          const refused = onCommit(e.target.value as T);
          setFault(typeof refused === "string" ? refused : null);
        }}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.name}
          </option>
        ))}
      </select>
    </Row>
  );
}

export function CheckField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: boolean;
  onCommit: (x: boolean) => void;
}) {
  const id = useId();
  return (
    <div className="flex min-h-8 items-center gap-2">
      <input
        id={id}
        type="checkbox"
        className="size-4 accent-(--accent)"
        checked={value}
        onChange={(e) => onCommit(e.target.checked)}
      />
      <label htmlFor={id} className="text-[13px]">
        {label}
      </label>
    </div>
  );
}
