/** A list with room for as much again. */
function doubled(list: Int32Array): Int32Array<ArrayBuffer> {
  const out = new Int32Array(list.length * 2);
  out.set(list);
  return out;
}

/**
 * A queue of nodes by their distance, in buckets of one width that go round. Nodes within one bucket come in no order: a search that
 * uses it looks at a node again when a shorter way to it turns up, and a distance is final once its bucket has been emptied.
 */
export class Buckets {
  size = 0;
  private readonly head: Int32Array;
  private node = new Int32Array(1024);
  private next = new Int32Array(1024);
  private free = 0;
  private at = 0;
  private readonly mask: number;
  private readonly share: number;

  /**
   * @param width of a bucket, mm
   * @param most largest step that a distance may lie beyond the bucket now emptied, mm
   */
  constructor(width: number, most: number) {
    // As many as a power of two, so that going round is a mask.
    const buckets = 2 ** Math.ceil(Math.log2(Math.ceil(most / width) + 2));
    this.head = new Int32Array(buckets).fill(-1);
    this.mask = buckets - 1;
    this.share = 1 / width;
  }

  clear(): void {
    if (this.size) this.head.fill(-1);
    this.size = this.free = this.at = 0;
  }

  push(distance: number, node: number): void {
    if (this.free === this.node.length) this.grow();
    const b = ((distance * this.share) | 0) & this.mask;
    const i = this.free++;
    this.node[i] = node;
    this.next[i] = this.head[b]!;
    this.head[b] = i;
    this.size++;
  }

  /** Goes to the next bucket that holds anything; the queue must not be empty. */
  turn(): void {
    while (this.head[this.at]! < 0) this.at = (this.at + 1) & this.mask;
  }

  /** Takes a node out of the bucket now emptied; −1 when it is empty. */
  take(): number {
    const i = this.head[this.at]!;
    if (i < 0) return -1;
    this.head[this.at] = this.next[i]!;
    this.size--;
    return this.node[i]!;
  }

  private grow(): void {
    this.node = doubled(this.node);
    this.next = doubled(this.next);
  }
}

/** Buckets that go round: a power of two. */
const RING = 4096;

/**
 * A queue of states by what they cost, as `Buckets`, for steps of any size: what lies further on than the buckets reach waits aside until
 * they reach it. Within a bucket states come out in the order they went in, so that equal plans come out equal.
 */
export class FarBuckets {
  /** Number of the bucket that the last state came from, counted from nought. */
  bucket = 0;
  private size = 0;
  private readonly head = new Int32Array(RING).fill(-1);
  private readonly tail = new Int32Array(RING);
  private state = new Int32Array(1024);
  private next = new Int32Array(1024);
  private free = 0;
  private readonly share: number;
  private aside: { bucket: number; state: number }[] = [];
  /** Least bucket of what waits aside. */
  private nearest = Infinity;

  /** @param width of a bucket, mm */
  constructor(width: number) {
    this.share = 1 / width;
  }

  clear(): void {
    if (this.size) this.head.fill(-1);
    this.size = this.free = this.bucket = 0;
    this.aside = [];
    this.nearest = Infinity;
  }

  /** Number of the bucket that holds a cost, mm. */
  bucketOf(cost: number): number {
    return Math.floor(cost * this.share);
  }

  /** @param cost no less, but for a hair, than that of the state last taken, mm */
  push(cost: number, state: number): void {
    const bucket = Math.max(this.bucket, Math.floor(cost * this.share));
    if (bucket >= this.bucket + RING) {
      this.aside.push({ bucket, state });
      this.nearest = Math.min(this.nearest, bucket);
    } else this.put(bucket, state);
  }

  private put(bucket: number, state: number): void {
    if (this.free === this.state.length) this.grow();
    const i = this.free++;
    const k = bucket & (RING - 1);
    this.state[i] = state;
    this.next[i] = -1;
    if (this.head[k]! < 0) this.head[k] = i;
    else this.next[this.tail[k]!] = i;
    this.tail[k] = i;
    this.size++;
  }

  /** Takes a state out of the least bucket that holds any; −1 when nothing is left. */
  take(): number {
    if (!this.size) {
      if (!this.aside.length) return -1;
      this.bucket = this.nearest;
      this.bringNear();
    }
    let k = this.bucket & (RING - 1);
    while (this.head[k]! < 0) {
      k = ++this.bucket & (RING - 1);
      if (this.bucket + RING > this.nearest) this.bringNear();
    }
    const i = this.head[k]!;
    this.head[k] = this.next[i]!;
    this.size--;
    return this.state[i]!;
  }

  /** Puts what waits aside into the buckets as far as they reach. */
  private bringNear(): void {
    const waiting = this.aside;
    this.aside = [];
    this.nearest = Infinity;
    for (const x of waiting)
      if (x.bucket < this.bucket + RING) this.put(x.bucket, x.state);
      else {
        this.aside.push(x);
        this.nearest = Math.min(this.nearest, x.bucket);
      }
  }

  private grow(): void {
    this.state = doubled(this.state);
    this.next = doubled(this.next);
  }
}
