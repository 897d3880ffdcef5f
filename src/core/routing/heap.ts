/**
 * A binary min-heap of (cost, state) over flat arrays that grow as needed. Equal costs come out in the order
 * they went in, so that equal plans come out equal.
 */
export class Heap {
  size = 0;
  private cost = new Float64Array(1024);
  private turn = new Int32Array(1024);
  private state = new Int32Array(1024);
  private counter = 0;
  /** Cost of the entry last taken. */
  topCost = 0;

  clear(): void {
    this.size = 0;
    this.counter = 0;
  }

  push(cost: number, state: number): void {
    if (this.size === this.cost.length) this.grow();
    const { cost: cs, turn: ts, state: ss } = this;
    const turn = this.counter++;
    let i = this.size++;
    while (i > 0) {
      const p = (i - 1) >> 1;
      if (cs[p]! <= cost) break;
      cs[i] = cs[p]!;
      ts[i] = ts[p]!;
      ss[i] = ss[p]!;
      i = p;
    }
    cs[i] = cost;
    ts[i] = turn;
    ss[i] = state;
  }

  /** Takes the cheapest entry: returns its state and leaves its cost in `topCost`. The heap must not be empty. */
  pop(): number {
    const { cost: cs, turn: ts, state: ss } = this;
    const top = ss[0]!;
    this.topCost = cs[0]!;
    const n = --this.size;
    if (n > 0) {
      const cost = cs[n]!;
      const turn = ts[n]!;
      const state = ss[n]!;
      let i = 0;
      for (;;) {
        let c = 2 * i + 1;
        if (c >= n) break;
        if (c + 1 < n && (cs[c + 1]! < cs[c]! || (cs[c + 1] === cs[c] && ts[c + 1]! < ts[c]!))) c++;
        if (cost < cs[c]! || (cost === cs[c] && turn < ts[c]!)) break;
        cs[i] = cs[c]!;
        ts[i] = ts[c]!;
        ss[i] = ss[c]!;
        i = c;
      }
      cs[i] = cost;
      ts[i] = turn;
      ss[i] = state;
    }
    return top;
  }

  private grow(): void {
    const n = this.cost.length * 2;
    const cost = new Float64Array(n);
    const turn = new Int32Array(n);
    const state = new Int32Array(n);
    cost.set(this.cost);
    turn.set(this.turn);
    state.set(this.state);
    this.cost = cost;
    this.turn = turn;
    this.state = state;
  }
}
