"use client";
import { words as numberWords } from "../kit/number-words";
import { Plus, Trash2 } from "lucide-react";
import { createContext, useContext, useEffect, useId, useRef, useState } from "react";
import { type Field, blankOf, setAt, typedMatrix, typedPairs, typedNumber, variantOf, withKind } from "./form-model";

type Path = readonly (string | number)[];
interface Form {
  value: unknown;
  set: (path: Path, next: unknown) => void;
  /** Field that was refused, by its path joined with dots, and why. */
  refused: { path: string; message: string } | null;
  /** Suggestions for text fields, such as the cables of the catalogue. */
  suggest: (key: string) => readonly string[];
}
const Context = createContext<Form | null>(null);
const useForm = (): Form => useContext(Context)!;

const box =
  "w-full min-h-9 border border-line bg-field px-2 py-1 aria-[invalid=true]:border-2 aria-[invalid=true]:border-stop";
const at = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (v, k) => (typeof v === "object" && v !== null ? (v as Record<string | number, unknown>)[k] : undefined),
    value,
  );

/** The whole form of a calculator. */
export function CalculatorForm({
  field,
  value,
  onChange,
  refused,
  suggest,
}: {
  field: Field;
  value: unknown;
  onChange: (next: unknown) => void;
  refused: { path: string; message: string } | null;
  suggest: (key: string) => readonly string[];
}) {
  return (
    <Context.Provider value={{ value, refused, suggest, set: (path, next) => onChange(setAt(value, path, next)) }}>
      <div className="grid gap-2">
        <FieldView field={field} path={[]} top />
      </div>
    </Context.Provider>
  );
}

/** Fields of a row stand side by side, their names over them. */
const Row = createContext(false);

function FieldView({ field, path, top }: { field: Field; path: Path; top?: boolean }) {
  if (field.kind === "group") return <Group field={field} path={path} top={top} />;
  if (field.kind === "list") return <List field={field} path={path} />;
  if (field.kind === "variants") return <Variants field={field} path={path} top={top} />;
  return <Simple field={field} path={path} />;
}

function Group({
  field,
  path,
  top,
}: {
  field: Extract<Field, { kind: "group" }>;
  path: Path;
  top?: boolean | undefined;
}) {
  const inner = (
    <>
      {field.fields.map(({ key, field: f }) => (
        <FieldView key={key} field={f} path={[...path, key]} />
      ))}
    </>
  );
  if (top) return inner;
  return (
    <fieldset className="grid gap-2 border-l-2 border-line pl-3">
      <legend className="mb-1 font-cond font-semibold">{field.title}</legend>
      {inner}
    </fieldset>
  );
}

function Variants({
  field,
  path,
  top,
  inRow,
}: {
  field: Extract<Field, { kind: "variants" }>;
  path: Path;
  top?: boolean | undefined;
  inRow?: boolean;
}) {
  const form = useForm();
  const value = at(form.value, path);
  const now = variantOf(field, value);
  const pick = (i: number): void => {
    if (i === now) return;
    const blank = blankOf(field.options[i]!.field) as Record<string, unknown>;
    // What both forms share stays as typed.
    const kept = Object.fromEntries(
      Object.entries((value as Record<string, unknown>) ?? {}).filter(
        ([k]) => k !== "kind" && field.options[i]!.keys.includes(k),
      ),
    );
    form.set(path, withKind(field, i, { ...blank, ...kept }));
  };
  const option = field.options[now]!;
  return (
    <fieldset
      className={
        inRow
          ? "col-span-full grid grid-cols-[repeat(auto-fill,minmax(6.2rem,1fr))] items-end gap-1.5"
          : top
            ? "grid gap-2"
            : "grid gap-2 border-l-2 border-line pl-3"
      }
    >
      <legend className={inRow ? "sr-only" : "mb-1 font-cond font-semibold"}>{top ? "Form" : field.title}</legend>
      <div role="radiogroup" aria-label={field.title} className="col-span-full flex flex-wrap">
        {field.options.map((o, i) => (
          <button
            key={o.title}
            type="button"
            role="radio"
            aria-checked={i === now}
            onClick={() => pick(i)}
            className={`min-h-8 cursor-pointer border border-line px-2.5 text-[13.5px] ${i === now ? "bg-ink text-panel" : "bg-panel hover:border-ink"}`}
          >
            {o.title}
          </button>
        ))}
      </div>
      <FieldView field={option.field} path={path} top />
    </fieldset>
  );
}

function List({ field, path }: { field: Extract<Field, { kind: "list" }>; path: Path }) {
  const form = useForm();
  const rows = (at(form.value, path) as unknown[] | undefined) ?? [];
  const fault = form.refused?.path === path.join(".") ? form.refused.message : null;
  const [open, setOpen] = useState(rows.length > 0);
  const add = (): void => {
    const blank = blankOf(field.row) as Record<string, unknown>;
    // A new row starts like the last one, with a name of its own.
    const last = rows[rows.length - 1] as Record<string, unknown> | undefined;
    const next = {
      ...blank,
      ...last,
      ...(last && "id" in last ? { id: freeName(rows) } : blank && "id" in blank ? { id: freeName(rows) } : {}),
    };
    const named =
      field.row.kind === "group" && field.row.fields.some((f) => f.key === "id") && !("id" in next)
        ? { ...next, id: freeName(rows) }
        : next;
    form.set(path, [...rows, named]);
    setOpen(true);
  };
  return (
    <fieldset className="col-span-full min-w-0 border-t border-line pt-2">
      <legend className="sr-only">{field.title}</legend>
      <div className="mb-1 flex items-center justify-between gap-2">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="min-h-8 cursor-pointer font-cond font-semibold hover:underline"
        >
          {field.title} <span className="num font-normal text-soft">{rows.length}</span>
        </button>
        <button
          type="button"
          onClick={add}
          className="inline-flex min-h-8 cursor-pointer items-center gap-1 border border-line bg-panel px-2 text-[13.5px] hover:border-ink"
        >
          <Plus size={14} aria-hidden /> Add
        </button>
      </div>
      {fault ? (
        <p role="alert" className="text-[13px] font-medium text-stop">
          {fault}
        </p>
      ) : null}
      {open
        ? rows.map((_, i) => (
            <div key={i} className="mb-2 grid grid-cols-[1fr_auto] gap-1 border-l-2 border-line pl-2" data-row={i}>
              <Row.Provider value={true}>
                <div className="grid grid-cols-[repeat(auto-fill,minmax(6.2rem,1fr))] items-end gap-1.5">
                  {field.row.kind === "variants" ? (
                    <Variants field={field.row} path={[...path, i]} inRow />
                  ) : (
                    <FieldView field={field.row} path={[...path, i]} top />
                  )}
                </div>
              </Row.Provider>
              <button
                type="button"
                aria-label={`Take out ${field.title.toLowerCase()} ${i + 1}`}
                onClick={() =>
                  form.set(
                    path,
                    rows.filter((__, k) => k !== i),
                  )
                }
                className="inline-flex size-8 cursor-pointer items-center justify-center border border-transparent text-soft hover:border-line"
              >
                <Trash2 size={15} />
              </button>
            </div>
          ))
        : null}
    </fieldset>
  );
}

function freeName(rows: readonly unknown[]): string {
  const taken = new Set(rows.map((r) => (r as { id?: unknown } | null)?.id));
  const last = (rows[rows.length - 1] as { id?: unknown } | undefined)?.id;
  const m = typeof last === "string" ? /^(.*?)(\d+)$/.exec(last) : null;
  for (let n = m ? Number(m[2]) + 1 : rows.length + 1; ; n++) {
    const name = `${m ? m[1] : "P"}${n}`;
    if (!taken.has(name)) return name;
  }
}

/** The words of a value as it stands in its box. */
const shown = (field: Field, value: unknown): string => {
  if (field.kind === "texts") return ((value as unknown[] | undefined) ?? []).join(", ");
  if (field.kind === "pairs")
    return Object.entries((value as Record<string, string> | undefined) ?? {})
      .map((x) => x.join(" "))
      .join(", ");
  if (field.kind === "matrix") return ((value as unknown[][] | undefined) ?? []).map((r) => r.join(" ")).join("\n");
  return value === undefined || value === null ? "" : typeof value === "boolean" ? "" : String(value);
};

function Simple({ field, path }: { field: Exclude<Field, { kind: "group" | "list" | "variants" }>; path: Path }) {
  const form = useForm();
  const inRow = useContext(Row);
  const id = useId();
  const key = path.join(".");
  const value = at(form.value, path);
  const unread =
    field.kind === "number" && typeof value === "string"
      ? numberWords.fault(field.title, value, undefined, undefined, field.unit)
      : null;
  const fault =
    unread ??
    (form.refused &&
    (form.refused.path === key ||
      (field.kind === "texts" || field.kind === "matrix" ? form.refused.path.startsWith(`${key}.`) : false))
      ? form.refused.message
      : null);
  const text = shown(field, value);
  const [typed, setTyped] = useState(text);
  const sent = useRef(text);
  useEffect(() => {
    if (text !== sent.current) {
      sent.current = text;
      setTyped(text);
    }
  }, [text]);
  const send = (next: unknown, words: string): void => {
    setTyped(words);
    sent.current = shown(field, next);
    form.set(path, next);
  };
  const said = {
    "aria-invalid": fault !== null,
    "aria-describedby": fault ? `${id}-fault` : undefined,
    "data-field": key,
  };
  if (field.kind === "flag")
    return (
      <div className="flex min-h-9 items-center gap-2">
        <input
          id={id}
          type="checkbox"
          className="size-5 accent-(--accent)"
          checked={value === true}
          onChange={(e) => form.set(path, e.target.checked)}
          {...said}
        />
        <label htmlFor={id} className="text-[14px]">
          {field.title}
        </label>
      </div>
    );
  const suggestions = field.kind === "text" ? form.suggest(String(path[path.length - 1])) : [];
  const unit = "unit" in field ? field.unit : "";
  const wide =
    inRow || field.kind === "matrix" || (field.kind === "choice" && field.options.some((o) => o.name.length > 16));
  return (
    <div
      className={
        inRow ? "grid gap-0.5" : wide ? "grid gap-1" : "grid grid-cols-[minmax(6rem,5fr)_4fr] items-center gap-x-2"
      }
    >
      <label htmlFor={id} className="text-[14px] leading-tight text-soft">
        {field.title}
        {unit ? <span> {unit}</span> : null}
      </label>
      {field.kind === "choice" ? (
        <select
          id={id}
          className={box}
          value={String(value ?? "")}
          onChange={(e) => form.set(path, field.options.find((o) => String(o.value) === e.target.value)?.value)}
          {...said}
        >
          {value === undefined ? <option value="">choose</option> : null}
          {field.options.map((o) => (
            <option key={String(o.value)} value={String(o.value)}>
              {o.name}
            </option>
          ))}
        </select>
      ) : field.kind === "matrix" ? (
        <textarea
          id={id}
          className={`${box} num`}
          rows={Math.min(14, typed.split("\n").length + 1)}
          spellCheck={false}
          placeholder={field.hint}
          value={typed}
          onChange={(e) => send(typedMatrix(e.target.value), e.target.value)}
          {...said}
        />
      ) : field.kind === "number" ? (
        <input
          id={id}
          className={`${box} num text-right`}
          inputMode="decimal"
          autoComplete="off"
          placeholder={field.nullable ? "open" : field.hint}
          value={typed}
          onFocus={(e) => e.target.select()}
          onBlur={() => setTyped(text)}
          onChange={(e) => send(typedNumber(e.target.value, field.nullable, unit), e.target.value)}
          onKeyDown={(e) => {
            if ((e.key !== "ArrowUp" && e.key !== "ArrowDown") || typeof value !== "number") return;
            e.preventDefault();
            const step =
              (e.shiftKey ? 10 : 1) * (Math.abs(value) >= 100 && !field.whole ? 10 : Number.isInteger(value) ? 1 : 0.1);
            const next = Number((value + (e.key === "ArrowUp" ? step : -step)).toFixed(6));
            send(next, String(next));
          }}
          {...said}
        />
      ) : (
        <input
          id={id}
          className={box}
          autoComplete="off"
          placeholder={field.hint}
          list={suggestions.length ? `${id}-list` : undefined}
          value={typed}
          onChange={(e) =>
            send(
              field.kind === "pairs"
                ? typedPairs(e.target.value)
                : field.kind === "texts"
                  ? e.target.value
                      .split(/[,;]/)
                      .map((x) => x.trim())
                      .filter((x) => x !== "")
                  : e.target.value === ""
                    ? undefined
                    : e.target.value,
              e.target.value,
            )
          }
          {...said}
        />
      )}
      {suggestions.length ? (
        <datalist id={`${id}-list`}>
          {suggestions.map((s) => (
            <option key={s} value={s} />
          ))}
        </datalist>
      ) : null}
      {fault ? (
        <p id={`${id}-fault`} role="alert" className="col-span-full mt-0.5 text-[13.5px] font-medium text-stop">
          {fault}
        </p>
      ) : null}
    </div>
  );
}
