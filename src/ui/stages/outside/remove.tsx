"use client";
import { Trash2 } from "lucide-react";
import { outsideWithout } from "../../../core/house/outside-kept";
import { say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";

/** Takes a thing out of the job and lets go of it. */
export function Remove({
  of,
  id,
  name,
}: {
  of: "grounds" | "posts" | "outsideWays" | "lightRows";
  id: string;
  name: string;
}) {
  return (
    <Button
      look="quiet"
      icon={<Trash2 size={14} />}
      onClick={() => {
        const { job } = useDesk.getState();
        const refused = edit(
          of === "outsideWays"
            ? outsideWithout(job, { ways: new Set([id]) })
            : of === "posts"
              ? outsideWithout(job, { posts: new Set([id]) })
              : [change(of, id, null)],
        );
        say(refused);
        if (!refused) useDesk.setState({ selection: null });
      }}
    >
      Remove {name}
    </Button>
  );
}
