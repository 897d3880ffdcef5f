"use client";
import { Download, FileUp } from "lucide-react";
import { useMemo, useState } from "react";
import { readOrderCsv, type SheetFault } from "../../../core/formats/supplies-csv";
import type { OrderLine } from "../../../core/record/buying";
import { buyingCost, buyingList, compareOrder } from "../../../core/record/buying";
import { amountWords, moneyWords, packWords } from "../../../core/words/supplies";
import { useDesk } from "../../job/store";
import { FaultList } from "../../kit/fault-list";
import { FileButton } from "../../kit/file-button";
import { Table } from "../table";
import { link, useNames } from "./frame";

const orderWords = {
  missing: "left out of the order",
  short: "too few",
  over: "more than is needed",
  "not-in-job": "not of this job",
  right: "right",
} as const;

/** What is still to buy in the cheapest packs, and an order held against it. */
export function BuyingSheet() {
  const { house, plan, job } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const lines = useMemo(() => (plan ? buyingList(house, plan, siteBook) : []), [house, plan, siteBook]);
  const [order, setOrder] = useState<{ name: string; rows: OrderLine[] } | null>(null);
  const [faults, setFaults] = useState<SheetFault[]>([]);
  const { price, unpriced } = buyingCost(lines);
  const open = lines.filter((l) => l.toBuy > 0);
  return (
    <div className="grid gap-3" data-buying>
      <div className="no-print flex flex-wrap gap-1">
        <a className={link} href={`/api/jobs/${job.id}/buying.csv`} download>
          <Download size={14} aria-hidden /> Buying list CSV
        </a>
        <a className={link} href={`/api/jobs/${job.id}/materials.xlsx`} download>
          <Download size={14} aria-hidden /> Spreadsheet
        </a>
        <button type="button" className={`${link} cursor-pointer`} onClick={() => window.print()}>
          Print
        </button>
        <FileButton
          mark="order"
          label="Order or delivery note, CSV"
          accept=".csv,text/csv"
          icon={<FileUp size={14} />}
          onFile={(f) =>
            void (async () => {
              const read = readOrderCsv(await f.text());
              setFaults(read.ok ? [] : read.faults);
              if (read.ok) setOrder({ name: f.name, rows: read.rows });
            })()
          }
        >
          Compare an order
        </FileButton>
      </div>
      <FaultList title="The order was not read:" faults={faults} />
      <p className="text-[14px]" data-price>
        {open.length ? (
          <>
            {open.length} {open.length === 1 ? "item" : "items"} to buy: <b className="num">{moneyWords(price)}</b> by
            your price list
            {unpriced ? `, and ${unpriced} without a price` : ""}.
          </>
        ) : (
          "Everything is on the van."
        )}
      </p>
      <Table
        label="Buying list"
        rows={open}
        keyOf={(l) => `${l.item} ${l.size}`}
        empty="Nothing is to be bought."
        columns={[
          { name: "Item", cell: (l) => l.item },
          { name: "Size", cell: (l) => l.size },
          { name: "Needed", num: true, cell: (l) => amountWords(l.needed, l.unit) },
          { name: "There", num: true, cell: (l) => amountWords(l.there, l.unit) },
          { name: "To buy", num: true, cell: (l) => amountWords(l.toBuy, l.unit) },
          {
            name: "Packs",
            cell: (l) => (
              <span className={l.bought ? "" : "text-warn"}>
                {packWords(l)}
                {l.bought && !l.bought.proven ? " (a cheaper choice may exist)" : ""}
              </span>
            ),
          },
          { name: "Price", num: true, cell: (l) => (l.bought?.price != null ? moneyWords(l.bought.price) : "–") },
        ]}
      />
      {order ? (
        <section aria-label="Order compared" data-order>
          <h3 className="text-lg">{order.name} against what is to buy</h3>
          <Table
            label="Order compared"
            rows={compareOrder(lines, order.rows).filter((d) => d.kind !== "right")}
            keyOf={(d) => `${d.item} ${d.size} ${d.kind}`}
            empty="The order has all that is to buy, and nothing else."
            columns={[
              { name: "Item", cell: (d) => d.item },
              { name: "Size", cell: (d) => d.size },
              { name: "To buy", num: true, cell: (d) => amountWords(d.needed, d.unit) },
              { name: "Ordered", num: true, cell: (d) => amountWords(d.ordered, d.unit) },
              {
                name: "",
                cell: (d) => (
                  <span className={d.kind === "missing" || d.kind === "short" ? "text-stop" : "text-warn"}>
                    {orderWords[d.kind]}
                  </span>
                ),
              },
            ]}
          />
        </section>
      ) : null}
    </div>
  );
}
