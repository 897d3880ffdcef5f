"use client";

/** Which of several are meant: a box for each, in the order given. */
export function Ticks({
  title,
  options,
  ticked,
  none,
  onChange,
}: {
  title: string;
  options: readonly { id: string; label: string }[];
  ticked: readonly string[];
  /** Said where there is nothing to tick. */
  none?: string;
  onChange: (ticked: string[]) => void;
}) {
  return (
    <fieldset className="border border-line px-2 pb-1">
      <legend className="px-1 text-[13px] text-soft">{title}</legend>
      <div className="flex flex-wrap gap-x-3">
        {options.map((o) => (
          <label key={o.id} className="flex min-h-7 items-center gap-1.5 text-[13px]">
            <input
              type="checkbox"
              className="size-4 accent-(--accent)"
              checked={ticked.includes(o.id)}
              onChange={(e) => onChange(e.target.checked ? [...ticked, o.id] : ticked.filter((x) => x !== o.id))}
            />
            {o.label}
          </label>
        ))}
        {options.length ? null : <span className="text-[13px] text-soft">{none}</span>}
      </div>
    </fieldset>
  );
}
