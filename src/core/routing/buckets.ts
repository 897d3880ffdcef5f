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
    const [node, next] = [new Int32Array(this.node.length * 2), new Int32Array(this.node.length * 2)];
    node.set(this.node);
    next.set(this.next);
    this.node = node;
    this.next = next;
  }
}
