/** A joist as the rules see it, mm. `span` is the clear span between bearing faces. */
export interface Joist {
  kind: "solid" | "engineered";
  depth: number;
  breadth: number;
  span: number;
}

export type Cut =
  | { id: string; kind: "hole"; at: number; diameter: number; fromTop: number }
  | { id: string; kind: "notch"; at: number; width: number; depth: number; edge: "top" | "bottom" };
