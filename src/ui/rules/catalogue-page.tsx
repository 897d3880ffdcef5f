"use client";
import { RefusalsSheet } from "../kit/refusals";
import { FileDown, RotateCcw, Upload } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { z } from "zod";
import {
  type Catalogue,
  type CatalogueTable,
  catalogueNames,
  catalogueTables,
  rowSchemas,
} from "../../core/rules/catalogue";
import { CalculatorForm } from "../bench/form-fields";
import { fieldOf } from "../bench/form-model";
import { Button } from "../kit/button";
import { FileButton } from "../kit/file-button";
import { Sheet } from "../kit/dialog";
import { PageBar } from "../kit/page-bar";

type Told = { ok: true } | { ok: false; message: string };
export interface CatalogueActions {
  importSheet: (
    table: string,
    text: string,
  ) => Promise<{ ok: true; rows: number } | { ok: false; refusals: { path: string; message: string }[] }>;
  put: (table: string, row: unknown) => Promise<Told>;
  reset: (table: string, id?: string) => Promise<Told>;
}

type Row = { id: string } & Record<string, unknown>;

/** What makers' sheets say: typical values, each replaceable by the user's own. */
export function CataloguePage({
  catalogue,
  own,
  actions,
}: {
  catalogue: Catalogue;
  own: { table: CatalogueTable; id: string }[];
  actions: CatalogueActions;
}) {
  const router = useRouter();
  const [table, setTable] = useState<CatalogueTable>("cables");
  const [editing, setEditing] = useState<unknown>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [refusals, setRefusals] = useState<{ file: string; list: { path: string; message: string }[] } | null>(null);
  const offline = (): void =>
    void toast.error("The server did not answer. Nothing has changed; try again when it is running.");
  const rows = catalogue[table] as unknown as readonly Row[];
  const columns = [...new Set(rows.flatMap((r) => Object.keys(r)))];
  const mine = new Set(own.filter((o) => o.table === table).map((o) => o.id));
  const store = async (): Promise<void> => {
    try {
      const done = await actions.put(table, editing);
      if (!done.ok) return setFault(done.message);
      setEditing(null);
      router.refresh();
      toast("Stored in the catalogue");
    } catch {
      offline();
    }
  };
  const bringIn = async (f: File): Promise<void> => {
    try {
      const done = await actions.importSheet(table, await f.text());
      if (!done.ok) return setRefusals({ file: f.name, list: done.refusals });
      router.refresh();
      toast(`${done.rows} ${done.rows === 1 ? "row" : "rows"} brought in`);
    } catch {
      offline();
    }
  };
  const reset = (id?: string): void =>
    void actions.reset(table, id).then(() => {
      router.refresh();
      toast(id === undefined ? "All typical values are back" : `The typical value of ${id} is back`);
    }, offline);
  const tool =
    "inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond font-semibold hover:border-ink";
  return (
    <div className="min-h-dvh">
      <PageBar here="Catalogue" />
      <main className="mx-auto max-w-6xl p-4 sm:p-6">
        <h1 className="text-3xl">Catalogue</h1>
        <p className="max-w-[75ch] text-soft">
          Sizes that differ from maker to maker. All are typical until you put your maker&apos;s sheet in their place;
          plans, take-off and the Bench then work with yours.
        </p>
        <div role="tablist" aria-label="Tables" className="my-3 flex flex-wrap">
          {catalogueTables.map((t) => (
            <button
              key={t}
              type="button"
              role="tab"
              aria-selected={t === table}
              onClick={() => setTable(t)}
              className={`min-h-10 cursor-pointer border border-line px-3 font-cond font-semibold ${t === table ? "bg-ink text-panel" : "bg-panel hover:border-ink"}`}
            >
              {catalogueNames[t].title}
            </button>
          ))}
        </div>
        <div role="tabpanel" aria-label={catalogueNames[table].title}>
          <div className="mb-2 flex flex-wrap items-center justify-between gap-2">
            <p className="text-[14px] text-soft">
              {catalogueNames[table].source}. {mine.size ? `${mine.size} of your own.` : "None of your own yet."}
            </p>
            <div className="flex flex-wrap gap-1.5">
              <Button
                onClick={() => {
                  setFault(null);
                  setEditing({ ...rows[0], id: "" });
                }}
              >
                New row
              </Button>
              <FileButton
                mark="import"
                label="CSV sheet"
                accept=".csv,text/csv"
                icon={<Upload size={15} />}
                onFile={(f) => void bringIn(f)}
              >
                Import CSV
              </FileButton>
              <a className={tool} href={`/api/catalogue/${table}`} download>
                <FileDown size={15} aria-hidden /> CSV
              </a>
              <Button icon={<RotateCcw size={15} />} disabled={!mine.size} onClick={() => reset()}>
                All typical again
              </Button>
            </div>
          </div>
          <div
            className="overflow-x-auto"
            tabIndex={0}
            role="region"
            aria-label={`${catalogueNames[table].title}, table`}
          >
            <table className="w-full border-collapse text-[14px]">
              <thead>
                <tr>
                  {columns.map((c) => (
                    <th key={c} scope="col" className="border-b border-ink px-2 py-1 text-left font-cond font-semibold">
                      {c}
                    </th>
                  ))}
                  <th scope="col" className="border-b border-ink px-2 py-1 text-left font-cond font-semibold">
                    whose
                  </th>
                </tr>
              </thead>
              <tbody>
                {rows.map((r) => (
                  <tr key={r.id} className="border-b border-dotted border-line hover:bg-rail" data-catalogue={r.id}>
                    {columns.map((c, i) => (
                      <td key={c} className={`px-2 py-0.5 ${typeof r[c] === "number" ? "num" : ""}`}>
                        {i === 0 ? (
                          <button
                            type="button"
                            onClick={() => {
                              setFault(null);
                              setEditing({ ...r });
                            }}
                            className="min-h-7 cursor-pointer font-medium underline decoration-dotted underline-offset-2"
                            aria-label={`Change ${r.id}`}
                          >
                            {r.id}
                          </button>
                        ) : r[c] === undefined ? (
                          "—"
                        ) : typeof r[c] === "boolean" ? (
                          r[c] ? (
                            "yes"
                          ) : (
                            "no"
                          )
                        ) : (
                          String(r[c])
                        )}
                      </td>
                    ))}
                    <td className="px-2 py-0.5 text-[13px] whitespace-nowrap">
                      {mine.has(r.id) ? (
                        <button
                          type="button"
                          className="min-h-7 cursor-pointer underline underline-offset-2"
                          onClick={() => reset(r.id)}
                          aria-label={`Typical value of ${r.id} again`}
                        >
                          yours, undo
                        </button>
                      ) : (
                        <span className="text-soft">typical</span>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </div>
      </main>
      <Sheet
        open={editing !== null}
        onOpenChange={(o) => !o && setEditing(null)}
        title={catalogueNames[table].title}
        about="A row with a known id takes its place; a new id adds a row. Lengths in mm."
      >
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void store();
          }}
        >
          <CalculatorForm
            field={fieldOf(z.toJSONSchema(rowSchemas[table]), "row")}
            value={editing}
            onChange={setEditing}
            refused={null}
            suggest={() => []}
          />
          {fault ? (
            <p role="alert" className="mt-2 font-medium text-stop">
              {fault}
            </p>
          ) : null}
          <div className="mt-4 flex justify-end gap-2">
            <Button onClick={() => setEditing(null)}>Cancel</Button>
            <Button look="solid" type="submit">
              Store
            </Button>
          </div>
        </form>
      </Sheet>
      <RefusalsSheet what="sheet" refusals={refusals} onClose={() => setRefusals(null)} />
    </div>
  );
}
