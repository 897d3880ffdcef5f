"use client";
import { useId } from "react";

/** A field on site: large, its hint under its name, the number beside it; `text` for words, which stand below. */
export function SiteField({
  label,
  hint,
  name = label,
  value,
  onChange,
  text = false,
}: {
  label: string;
  hint?: string;
  name?: string;
  value: string;
  onChange: (typed: string) => void;
  text?: boolean;
}) {
  const id = useId();
  return (
    <div className={text ? "grid gap-1 text-[15px]" : "grid grid-cols-[minmax(0,1fr)_8rem] items-center gap-2"}>
      <label htmlFor={id}>
        {label}
        {hint ? <span className="block text-[14px] text-soft">{hint}</span> : null}
      </label>
      <input
        id={id}
        className={`min-h-12 border border-line bg-field px-2 ${text ? "text-[16px]" : "num text-[18px]"}`}
        {...(text ? { maxLength: 60 } : { inputMode: "decimal" as const })}
        data-field={name}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </div>
  );
}
