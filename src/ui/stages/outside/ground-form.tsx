"use client";
import { bounds } from "../../../core/base/polygon";
import { groundNames } from "../../../core/drawings/outside-scenes";
import { type Ground, type Post, groundKinds } from "../../../core/job/model";
import { change, edit } from "../../job/store";
import { NumberField, SelectField, TextField } from "../../kit/field";
import { Remove } from "./remove";

/** A part of the ground: what it is, its level, and of a rectangle its sides. */
export function GroundForm({ ground }: { ground: Ground }) {
  const put = (next: Partial<Ground>): string | null => edit([change("grounds", ground.id, { ...ground, ...next })]);
  const b = bounds(ground.outline);
  const square = ground.outline.length === 4;
  /** The same rectangle with one side elsewhere. */
  const side =
    (key: "x0" | "x1" | "y0" | "y1") =>
    (to: number): string | null => {
      const n = { ...b, [key]: to };
      if (n.x1 - n.x0 < 50 || n.y1 - n.y0 < 50)
        return `That leaves ${Math.round(Math.min(n.x1 - n.x0, n.y1 - n.y0))}; at least 50 wide.`;
      return put({
        outline: [
          { x: n.x0, y: n.y0 },
          { x: n.x0, y: n.y1 },
          { x: n.x1, y: n.y1 },
          { x: n.x1, y: n.y0 },
        ],
      });
    };
  return (
    <section aria-label="The picked ground" className="grid gap-2" data-ground-form={ground.id}>
      <h2 className="text-lg">{ground.name || groundNames[ground.kind]}</h2>
      <TextField label="Name" value={ground.name} most={40} required={false} onCommit={(name) => put({ name })} />
      <SelectField
        label="It is"
        value={ground.kind}
        options={groundKinds.map((k) => ({ value: k, name: groundNames[k] }))}
        onCommit={(kind) => put({ kind })}
      />
      {ground.kind === "tree" ? null : (
        <NumberField
          label="Level above the yard"
          value={ground.level}
          min={-5000}
          max={5000}
          onCommit={(level) => put({ level })}
        />
      )}
      {square ? (
        <>
          <NumberField label="West side" value={b.x0} onCommit={side("x0")} />
          <NumberField label="East side" value={b.x1} onCommit={side("x1")} />
          <NumberField label="South side" value={b.y0} onCommit={side("y0")} />
          <NumberField label="North side" value={b.y1} onCommit={side("y1")} />
        </>
      ) : (
        <p className="text-[13px] text-soft">{ground.outline.length} corners, as drawn.</p>
      )}
      <Remove of="grounds" id={ground.id} name={ground.name || groundNames[ground.kind]} />
    </section>
  );
}

/** A post: where it stands and how high it is. */
export function PostForm({ post }: { post: Post }) {
  const put = (next: Partial<Post>): string | null => edit([change("posts", post.id, { ...post, ...next })]);
  return (
    <section aria-label="The picked post" className="grid gap-2" data-post-form={post.id}>
      <h2 className="text-lg">Post {post.label}</h2>
      <TextField label="Label" value={post.label} most={12} onCommit={(label) => put({ label })} />
      <NumberField label="East" value={post.x} onCommit={(x) => put({ x })} />
      <NumberField label="North" value={post.y} onCommit={(y) => put({ y })} />
      <NumberField label="Height" value={post.height} min={100} max={10_000} onCommit={(height) => put({ height })} />
      <NumberField label="Across" value={post.breadth} min={20} max={600} onCommit={(breadth) => put({ breadth })} />
      <Remove of="posts" id={post.id} name={post.label} />
    </section>
  );
}
