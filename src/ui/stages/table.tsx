"use client";
import type { ReactNode } from "react";

export interface Column<T> {
  name: string;
  cell: (row: T) => ReactNode;
  num?: boolean;
}

/** A plain table: units in the heading, figures lined up, a row may be picked. */
export function Table<T>({
  label,
  columns,
  rows,
  keyOf,
  onPick,
  empty,
}: {
  label: string;
  columns: readonly Column<T>[];
  rows: readonly T[];
  keyOf: (row: T) => string;
  onPick?: (row: T) => void;
  empty: string;
}) {
  if (!rows.length) return <p className="p-2 text-soft">{empty}</p>;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
      <table className="w-full border-collapse text-[14px]">
        <caption className="sr-only">{label}</caption>
        <thead>
          <tr>
            {columns.map((c) => (
              <th
                key={c.name}
                scope="col"
                className={`sticky top-0 border-b border-ink bg-panel px-2 py-1 font-cond font-semibold ${c.num ? "text-right" : "text-left"}`}
              >
                {c.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={keyOf(r)} className="border-b border-dotted border-line hover:bg-rail">
              {columns.map((c, i) => (
                <td key={c.name} className={`px-2 py-1 ${c.num ? "num text-right" : ""}`}>
                  {i === 0 && onPick ? (
                    <button
                      type="button"
                      className="min-h-6 cursor-pointer text-left underline decoration-dotted underline-offset-2"
                      onClick={() => onPick(r)}
                    >
                      {c.cell(r)}
                    </button>
                  ) : (
                    c.cell(r)
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
