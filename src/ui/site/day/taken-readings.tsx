import { type SiteEntry, readingWords } from "../../../core/job/site-entry";

/** Readings that stand in the record, each with who took it, when and with what. */
export function TakenReadings({ entries }: { entries: readonly SiteEntry[] }) {
  return entries.length ? (
    <ul className="text-[15px]" aria-label="Readings so far">
      {entries.map((e) => (
        <li key={e.id} className="border-t border-line py-1">
          <span className="num font-medium">{readingWords(e.reading!)}</span>{" "}
          <span className="text-soft">
            {e.by}, {new Date(e.at).toLocaleString("en-GB", { dateStyle: "short", timeStyle: "short" })}
            {e.instrument ? `, ${e.instrument}` : ""}
          </span>
        </li>
      ))}
    </ul>
  ) : null;
}
