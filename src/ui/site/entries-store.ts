import type { SiteEntry } from "../../core/job/site-entry";

/** What the server says to lines sent to it; each line that it did not take is named with the reason. */
export type Send = (
  jobId: string,
  entries: SiteEntry[],
) => Promise<
  | { ok: true; siteBook: SiteEntry[]; refused: { id: string; message: string }[] }
  | { ok: false; message: string; signIn?: boolean }
>;

/** A line the server would not take: it stays on the phone until a person lets it go. */
export interface Refused {
  entry: SiteEntry;
  message: string;
}

/** A line as the phone keeps it: its place in the order they were made in, and why the server would not take it. */
export interface KeptLine {
  entry: SiteEntry;
  order: number;
  refused: string | null;
}

/** What keeps lines while the phone is off: the browser's database, each line by itself, so that two pages of one job lose none. */
export interface LinesKeep {
  all: () => Promise<KeptLine[]>;
  put: (line: KeptLine) => Promise<void>;
  drop: (ids: readonly string[]) => Promise<void>;
}

/** Most lines sent in one go. */
const AT_ONCE = 200;

/**
 * Lines of the record that stay on the phone until the server has them. A line counts from the moment it is made; where the phone's
 * storage will not take it it stays in memory and that is told: no tap is lost while the page is open. A line that is refused holds
 * up no other.
 */
export class EntriesStore {
  private lines = new Map<string, KeptLine>();
  /** Lines that the phone's storage has not taken (yet, or at all). */
  private unstored = new Set<string>();
  private failed = new Set<string>();
  /** Lines let go or sent since the phone was last read. */
  private dropped = new Set<string>();
  private order = 0;
  private busy = false;
  /** Why nothing at all was taken at the last try; null when lines were. */
  notTaken: string | null = null;
  signedOut = false;

  constructor(
    private readonly job: string,
    private readonly keep: LinesKeep,
    private readonly send: Send,
    /** Whether nobody is signed in here any more, asked when nothing came back. */
    private readonly out: () => Promise<boolean> = () => Promise.resolve(false),
  ) {}

  private sorted(): KeptLine[] {
    return [...this.lines.values()].sort((a, b) => a.order - b.order);
  }

  waiting(): SiteEntry[] {
    return this.sorted().flatMap((l) => (l.refused === null ? [l.entry] : []));
  }
  refused(): Refused[] {
    return this.sorted().flatMap((l) => (l.refused === null ? [] : [{ entry: l.entry, message: l.refused }]));
  }
  /** True when some of what waits would not go into the phone's storage. */
  get full(): boolean {
    return [...this.failed].some((id) => this.lines.get(id)?.refused === null);
  }

  /** Reads what the phone keeps, and what another page of this job put there or sent since. */
  async open(): Promise<void> {
    let there: KeptLine[];
    // What is made or sent while the phone reads is known better here than by what it read.
    const before = new Map(this.lines);
    this.dropped.clear();
    try {
      there = await this.keep.all();
    } catch {
      return;
    }
    const ids = new Set(there.map((l) => l.entry.id));
    for (const [id, line] of before)
      if (!ids.has(id) && !this.unstored.has(id) && this.lines.get(id) === line) this.lines.delete(id);
    for (const l of there) {
      const { id } = l.entry;
      if (this.lines.get(id) === before.get(id) && !this.unstored.has(id) && !this.dropped.has(id))
        this.lines.set(id, l);
      this.order = Math.max(this.order, l.order);
    }
  }

  private async put(line: KeptLine): Promise<void> {
    const { id } = line.entry;
    this.lines.set(id, line);
    this.unstored.add(id);
    try {
      await this.keep.put(line);
      this.unstored.delete(id);
      this.failed.delete(id);
    } catch {
      this.failed.add(id);
    }
    // Sent while it was being put away: it is not to wait there.
    if (!this.lines.has(id)) await this.forget([id]);
  }

  /** Adds a line: it counts at once. @returns when the phone has it, or could not take it */
  add(entry: SiteEntry): Promise<void> {
    this.order = Math.max(this.order + 1, Date.now() * 1000);
    return this.put({ entry, order: this.order, refused: null });
  }

  private async forget(ids: readonly string[]): Promise<void> {
    for (const id of ids) {
      this.dropped.add(id);
      this.lines.delete(id);
      this.unstored.delete(id);
      this.failed.delete(id);
    }
    await this.keep.drop(ids).catch(() => undefined);
  }

  /** Lets the refused lines go, or puts them in line once more. */
  async settle(how: "let-go" | "again"): Promise<void> {
    const list = this.sorted().filter((l) => l.refused !== null);
    if (how === "let-go") await this.forget(list.map((l) => l.entry.id));
    else await Promise.all(list.map((l) => this.put({ ...l, refused: null })));
  }

  /**
   * Sends what waits, some at a time, oldest first.
   * @param learn told the record as the server has it before what was sent is dropped here: no line is nowhere in between
   * @returns the record as the server has it, or null when nothing reached it
   */
  async flush(learn: (book: SiteEntry[]) => void = () => {}): Promise<SiteEntry[] | null> {
    if (this.busy) return null;
    this.busy = true;
    let book: SiteEntry[] | null = null;
    try {
      for (let some = this.waiting().slice(0, AT_ONCE); some.length; some = this.waiting().slice(0, AT_ONCE)) {
        const answer = await this.send(this.job, some);
        if (!answer.ok) {
          this.signedOut = answer.signIn ?? false;
          this.notTaken = this.signedOut ? null : answer.message;
          break;
        }
        this.notTaken = null;
        this.signedOut = false;
        book = answer.siteBook;
        learn(book);
        const why = new Map(answer.refused.map((r) => [r.id, r.message]));
        const good = some.filter((e) => !why.has(e.id)).map((e) => e.id);
        await this.forget(good);
        for (const e of some) {
          const line = this.lines.get(e.id);
          if (line && why.has(e.id)) await this.put({ ...line, refused: why.get(e.id)! });
        }
      }
    } catch {
      // No signal, or nobody signed in: what waits stays here and goes with the next try.
      this.signedOut = await this.out();
    } finally {
      this.busy = false;
    }
    return book;
  }
}
