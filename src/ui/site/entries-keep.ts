import { createStore, delMany, entries, set } from "idb-keyval";
import type { SiteEntry } from "../../core/job/site-entry";
import type { KeptLine, LinesKeep } from "./entries-store";

/** The browser's database of lines that wait, made when it is first asked for. */
let made: ReturnType<typeof createStore> | null = null;
const lines = () => (made ??= createStore("lumbet-site", "lines"));

/** What the first edition kept a job's lines under, as text. */
const oldKey = (job: string): string => `lumbet-site-${job}`;

/** Lines that the first edition kept as text, waiting and refused; none where it kept nothing that can be read. */
function oldLines(job: string, storage: Pick<Storage, "getItem">): KeptLine[] {
  const read = <T>(key: string): T[] => {
    try {
      const list: unknown = JSON.parse(storage.getItem(key) ?? "[]");
      return Array.isArray(list) ? (list as T[]) : [];
    } catch {
      return [];
    }
  };
  return [
    ...read<SiteEntry>(oldKey(job)).map((entry, i): KeptLine => ({ entry, order: i, refused: null })),
    ...read<{ entry: SiteEntry; message: string }>(`${oldKey(job)}-refused`).map(({ entry, message }, i): KeptLine => ({
      entry,
      order: i,
      refused: message,
    })),
  ];
}

/** A line on its way into the database: written at once, so that a page closed the moment after a tap has it. */
const onItsWay = (job: string): string => `lumbet-line-${job}/`;

/** Lines that were on their way when their page was closed. */
function left(job: string, storage: Storage): KeptLine[] {
  const prefix = onItsWay(job);
  return Object.keys(storage).flatMap((k): KeptLine[] => {
    if (!k.startsWith(prefix)) return [];
    try {
      return [JSON.parse(storage.getItem(k) ?? "") as KeptLine];
    } catch {
      return [];
    }
  });
}

/** Keeps lines of a job in the browser's database; takes over what the first edition kept as text. */
export function linesKeep(job: string): LinesKeep {
  const mine = `${job}/`;
  const way = (id: string): string => onItsWay(job) + id;
  const put = async (line: KeptLine): Promise<void> => {
    const { id } = line.entry;
    try {
      localStorage.setItem(way(id), JSON.stringify(line));
    } catch {
      // No room for text: the database may have some.
    }
    await set(mine + id, line, lines());
    localStorage.removeItem(way(id));
  };
  return {
    all: async () => {
      const old = oldLines(job, localStorage);
      for (const line of [...old, ...left(job, localStorage)]) await put(line);
      if (old.length) {
        localStorage.removeItem(oldKey(job));
        localStorage.removeItem(`${oldKey(job)}-refused`);
      }
      return (await entries<string, KeptLine>(lines())).flatMap(([k, l]) => (String(k).startsWith(mine) ? [l] : []));
    },
    put,
    drop: async (ids) => {
      for (const id of ids) localStorage.removeItem(way(id));
      await delMany(
        ids.map((id) => mine + id),
        lines(),
      );
    },
  };
}
