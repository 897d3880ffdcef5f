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

/** Most lines sent in one go. */
const AT_ONCE = 200;

type Store = Pick<Storage, "getItem" | "setItem">;

/**
 * Lines of the record that stay on the phone until the server has them. Where the phone's storage is full they stay in memory and
 * that is told: no tap is lost while the page is open. A line that is refused holds up no other.
 */
export class EntriesStore {
  /** Lines that the phone's storage would not take. */
  private memory: SiteEntry[] = [];
  private memoryRefused: Refused[] | null = null;
  private busy = false;
  /** Why nothing at all was taken at the last try; null when lines were. */
  notTaken: string | null = null;
  signedOut = false;

  constructor(
    private readonly job: string,
    private readonly store: Store,
    private readonly send: Send,
    /** Whether nobody is signed in here any more, asked when nothing came back. */
    private readonly out: () => Promise<boolean> = () => Promise.resolve(false),
  ) {}

  private read<T>(key: string): T[] {
    try {
      const list: unknown = JSON.parse(this.store.getItem(key) ?? "[]");
      return Array.isArray(list) ? (list as T[]) : [];
    } catch {
      return [];
    }
  }
  private get key(): string {
    return `lumbet-site-${this.job}`;
  }

  waiting(): SiteEntry[] {
    return [...this.read<SiteEntry>(this.key), ...this.memory];
  }
  refused(): Refused[] {
    return this.memoryRefused ?? this.read<Refused>(`${this.key}-refused`);
  }
  /** True when some of what waits is not in the phone's storage. */
  get full(): boolean {
    return this.memory.length > 0;
  }

  add(e: SiteEntry): void {
    if (!this.write(this.key, [...this.read<SiteEntry>(this.key), e])) this.memory.push(e);
  }

  private write(key: string, list: readonly unknown[]): boolean {
    try {
      this.store.setItem(key, JSON.stringify(list));
      return true;
    } catch {
      return false;
    }
  }

  private drop(ids: ReadonlySet<string>): void {
    const left = (list: SiteEntry[]): SiteEntry[] => list.filter((e) => !ids.has(e.id));
    this.memory = left(this.memory);
    this.write(this.key, left(this.read<SiteEntry>(this.key)));
  }

  private setRefused(list: Refused[]): void {
    this.memoryRefused = this.write(`${this.key}-refused`, list) ? null : list;
  }

  /** Lets the refused lines go, or puts them in line once more. */
  settle(how: "let-go" | "again"): void {
    const list = this.refused();
    this.setRefused([]);
    if (how === "again") for (const r of list) this.add(r.entry);
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
        const bad = some.filter((e) => why.has(e.id));
        if (bad.length)
          this.setRefused([...this.refused(), ...bad.map((entry) => ({ entry, message: why.get(entry.id)! }))]);
        this.drop(new Set(some.map((e) => e.id)));
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
