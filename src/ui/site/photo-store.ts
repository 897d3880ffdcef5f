/** A photo of a wall, a deck or an open trench taken on this phone; `at` ISO 8601. */
export interface KeptPhoto {
  id: string;
  wall: string | null;
  /** Not there in photos kept by earlier editions, which were of walls, then of decks. */
  deck?: string | null;
  outside?: string | null;
  /** The middle of the wall at a height a person looks at, mm. */
  u: number;
  v: number;
  at: string;
  picture: Blob;
  /** Why the server would not take it; null while it waits. */
  refused: string | null;
}

/** What keeps photos over a reload: the browser's database. */
export interface PhotoKeep {
  all: () => Promise<KeptPhoto[]>;
  put: (photo: KeptPhoto) => Promise<void>;
  drop: (id: string) => Promise<void>;
}

/** Sends one: done, refused in words; throws where nothing answers. */
export type SendPhoto = (photo: KeptPhoto) => Promise<{ ok: true } | { ok: false; message: string }>;

/**
 * Photos that stay on the phone until the server has them, each sent once, oldest first; one that is refused holds up
 * no other.
 */
export class PhotoStore {
  private busy: Promise<void> | null = null;

  constructor(
    private readonly keep: PhotoKeep,
    private readonly send: SendPhoto,
  ) {}

  async kept(): Promise<KeptPhoto[]> {
    return (await this.keep.all()).sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  }

  add(photo: KeptPhoto): Promise<void> {
    return this.keep.put(photo);
  }

  letGo(id: string): Promise<void> {
    return this.keep.drop(id);
  }

  /** Sends what waits. Throws where nothing answers: what comes after the photos then waits too. */
  flush(): Promise<void> {
    this.busy ??= this.sendAll().finally(() => {
      this.busy = null;
    });
    return this.busy;
  }

  private async sendAll(): Promise<void> {
    for (const photo of await this.kept()) {
      if (photo.refused !== null) continue;
      const told = await this.send(photo);
      if (told.ok) await this.keep.drop(photo.id);
      else await this.keep.put({ ...photo, refused: told.message });
    }
  }
}
