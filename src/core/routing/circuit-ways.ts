import type { House } from "../house/house";
import type { RouteGraph } from "./graph";
import { waysFrom } from "./lengths";

/** Lengths of ways between the points of a circuit, mm; Infinity where none leads. */
export class Ways {
  private readonly searched = new Map<string, Map<string, number>>();

  /** @param everyone all points that are asked for */
  constructor(
    private readonly h: House,
    private readonly g: RouteGraph,
    private readonly everyone: readonly string[],
    private readonly usable: Uint8Array,
  ) {}

  private nodeOf(id: string): number {
    return this.g.terminal[this.h.pointOfId.get(id)!]!;
  }

  private search(from: string, ids: readonly string[]): number[] {
    const node = this.nodeOf(from);
    const nodes: number[] = [];
    for (const id of ids) nodes.push(node < 0 ? -1 : this.nodeOf(id));
    return node < 0 ? nodes.fill(Infinity) : waysFrom(this.g, node, nodes, this.usable);
  }

  /** True where all others were looked for from a point. */
  hasSearched(id: string): boolean {
    return this.searched.has(id);
  }

  /** One search for all from one of them. */
  apart(a: string, b: string): number {
    let from = this.searched.get(a);
    if (!from) {
      const found = this.search(a, this.everyone);
      this.searched.set(a, (from = new Map()));
      for (let i = 0; i < found.length; i++) from.set(this.everyone[i]!, found[i]!);
    }
    return from.get(b)!;
  }

  /** Between each two: the same both ways, so that each search looks only for the places after its own. */
  matrix(ids: readonly string[]): number[][] {
    const out = ids.map(() => new Array<number>(ids.length).fill(0));
    for (let i = 0; i < ids.length; i++) {
      const known = this.searched.get(ids[i]!);
      const found = known ? null : this.search(ids[i]!, ids.slice(i + 1));
      for (let k = i + 1; k < ids.length; k++)
        out[i]![k] = out[k]![i] = known ? known.get(ids[k]!)! : found![k - i - 1]!;
    }
    return out;
  }
}
