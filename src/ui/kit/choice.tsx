"use client";
import { ToggleGroup } from "radix-ui";

const sizes = { small: "min-h-8 px-2.5", thumb: "min-h-12 px-4" } as const;

/** One of a few, side by side; arrows go from one to the next. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  size = "small",
  className = "",
}: {
  label: string;
  value: T;
  options: readonly (readonly [value: T, name: string])[];
  onChange: (value: T) => void;
  size?: keyof typeof sizes;
  className?: string;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      // The one that is picked stays picked when it is pressed again.
      onValueChange={(v) => v && onChange(v as T)}
      className={`flex flex-wrap ${className}`}
    >
      {options.map(([id, name]) => (
        <ToggleGroup.Item
          key={id}
          value={id}
          className={`${sizes[size]} cursor-pointer border border-line bg-panel font-cond font-semibold hover:border-ink data-[state=on]:bg-ink data-[state=on]:text-panel`}
        >
          {name}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
