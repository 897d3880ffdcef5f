"use client";
import { Download, FileUp, Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import { type SheetFault, packsCsv, readPacksCsv } from "../../core/formats/supplies-csv";
import { totals } from "../../core/plan/take-off";
import { change, edit, useDesk, usePlan } from "../job/store";
import { Button } from "../kit/button";
import { NumberField, SelectField } from "../kit/field";
import { FaultList } from "../kit/fault-list";
import { FileButton } from "../kit/file-button";

/** What is on the van besides drums, and the user's own price list. */
export function SuppliesPanel() {
  const job = useDesk((s) => s.job);
  const plan = usePlan();
  const [faults, setFaults] = useState<SheetFault[]>([]);
  const [told, setTold] = useState("");
  const items = totals(plan?.takeoff ?? []).filter((l) => l.item !== "Cable");
  const key = (l: { item: string; size: string }): string => `${l.item}\u0000${l.size}`;
  const name = (l: { item: string; size: string }): string => [l.item, l.size].filter(Boolean).join(", ");
  const read = async (f: File): Promise<void> => {
    const sheet = readPacksCsv(await f.text());
    setFaults(sheet.ok ? [] : sheet.faults);
    setTold("");
    if (!sheet.ok) return;
    const refused = edit([
      ...job.packs.map((p) => change("packs", p.id, null)),
      ...sheet.rows.map((r) => {
        const id = `pack-${nanoid(8)}`;
        return change("packs", id, { id, ...r });
      }),
    ]);
    if (refused !== null) setFaults([{ path: "price list", message: refused }]);
    else setTold(`${sheet.rows.length} packs read from ${f.name}.`);
  };
  const list = (): void => {
    const all = totals(plan?.takeoff ?? []);
    const without = all.filter((l) => !job.packs.some((p) => key(p).toLowerCase() === key(l).toLowerCase()));
    const url = URL.createObjectURL(new Blob(["\uFEFF", packsCsv(job.packs, without)], { type: "text/csv" }));
    const a = document.createElement("a");
    a.href = url;
    a.download = "price-list.csv";
    a.click();
    URL.revokeObjectURL(url);
  };
  return (
    <section aria-label="Van and prices" className="grid gap-1.5" data-supplies>
      <div className="flex items-center justify-between">
        <h2 className="text-lg">On the van</h2>
        <Button
          icon={<Plus size={14} />}
          disabled={!items.length}
          onClick={() => {
            const id = `stock-${nanoid(6)}`;
            const first = items.find((l) => !job.stock.some((s) => key(s) === key(l))) ?? items[0]!;
            edit([change("stock", id, { id, item: first.item, size: first.size, quantity: 1 })]);
          }}
        >
          Add
        </Button>
      </div>
      {job.stock.length ? null : (
        <p className="text-[13.5px] text-soft">Nothing listed: everything of the take-off is to buy.</p>
      )}
      {job.stock.map((s) => (
        <details key={s.id} className="border border-line px-2 py-1">
          <summary className="cursor-pointer text-[13.5px]">
            {name(s)} <span className="num">{s.quantity}</span>
          </summary>
          <SelectField
            label="Item"
            value={key(s)}
            options={[
              ...(items.some((l) => key(l) === key(s)) ? [] : [{ value: key(s), name: name(s) }]),
              ...items.map((l) => ({ value: key(l), name: name(l) })),
            ]}
            onCommit={(k) => {
              const [item, size] = k.split("\u0000") as [string, string];
              return edit([change("stock", s.id, { ...s, item, size })]);
            }}
          />
          <NumberField
            label="There"
            unit={items.find((l) => key(l) === key(s))?.unit === "m" ? "m" : ""}
            step={1}
            min={0}
            max={1_000_000}
            value={s.quantity}
            onCommit={(quantity) => edit([change("stock", s.id, { ...s, quantity })])}
          />
          <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => edit([change("stock", s.id, null)])}>
            Remove
          </Button>
        </details>
      ))}
      <h2 className="pt-2 text-lg">Price list</h2>
      <p className="text-[13px] text-soft">
        {job.packs.length
          ? `${job.packs.length} packs, your own.`
          : "None yet. Take the list of items, fill in how much a pack holds and its price, and read it back."}
      </p>
      <div className="flex flex-wrap gap-1">
        <Button icon={<Download size={14} />} onClick={list}>
          List to fill in
        </Button>
        <FileButton
          mark="packs"
          label="Price list, CSV"
          accept=".csv,text/csv"
          icon={<FileUp size={14} />}
          onFile={(f) => void read(f)}
        >
          Read a price list
        </FileButton>
      </div>
      {told ? (
        <p role="status" className="text-[13px] text-good">
          ✓ {told}
        </p>
      ) : null}
      <FaultList title="The price list was not read:" faults={faults} />
    </section>
  );
}
