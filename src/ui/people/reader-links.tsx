"use client";
import { Link2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { Button } from "../kit/button";
import type { PeopleActions } from "./actions";
import type { ShownLink } from "./link-sheet";

export interface LinkedJob {
  id: string;
  name: string;
  links: { id: string; label: string; by: string; since: string }[];
}

/** Links to the wall sheets of a job, for other trades and owners: they open those and nothing else. */
export function ReaderLinks({
  jobs,
  actions,
  show,
}: {
  jobs: readonly LinkedJob[];
  actions: PeopleActions;
  show: (link: ShownLink) => void;
}) {
  const router = useRouter();
  const [job, setJob] = useState(jobs[0]!.id);
  const [label, setLabel] = useState("");
  const offline = (): void =>
    void toast.error("The server did not answer. Nothing has changed; try again when it is running.");
  const make = (): void =>
    void actions.makeLink(job, label).then((told) => {
      if (!told.ok) return void toast.error(told.message);
      show({
        title: `Wall sheets for ${label.trim()}`,
        about:
          "Whoever has this link sees the wall sheets of this job, always as they stand, until you take it back. It is shown once.",
        path: `/sheets/${told.token}`,
      });
      setLabel("");
      router.refresh();
    }, offline);
  const box = "min-h-9 border border-line bg-field px-2 text-ink";
  return (
    <section aria-label="Readers' links" className="mt-6 border-t border-line pt-3" data-links>
      <h2 className="text-lg">Wall sheets by link</h2>
      <p className="text-[14px] text-soft">
        For the plasterer, the kitchen fitter, the owner of the house: no name, no passphrase, nothing to change.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label className="grid text-[13px] text-soft">
          Job
          <select className={box} value={job} onChange={(e) => setJob(e.target.value)}>
            {jobs.map((j) => (
              <option key={j.id} value={j.id}>
                {j.name}
              </option>
            ))}
          </select>
        </label>
        <label className="grid text-[13px] text-soft">
          For whom
          <input
            className={box}
            value={label}
            maxLength={60}
            placeholder="the plasterer"
            onChange={(e) => setLabel(e.target.value)}
            onKeyDown={(e) => e.key === "Enter" && make()}
          />
        </label>
        <Button icon={<Link2 size={15} />} onClick={make}>
          Make a link
        </Button>
      </div>
      <ul className="mt-2">
        {jobs.flatMap((j) =>
          j.links.map((l) => (
            <li
              key={l.id}
              className="flex flex-wrap items-center gap-3 border-b border-dotted border-line py-2 text-[14px]"
            >
              <span className="min-w-0 flex-1 basis-56">
                {j.name}, for {l.label}
                <span className="text-soft">
                  {" "}
                  · made {l.since.slice(0, 10)}
                  {l.by ? ` by ${l.by}` : ""}
                </span>
              </span>
              <Button
                aria-label={`Take back the link for ${l.label}`}
                onClick={() =>
                  void actions.takeBack(j.id, l.id).then((told) => {
                    if (told.ok) toast("The link opens nothing any more");
                    else toast.error(told.message);
                    router.refresh();
                  }, offline)
                }
              >
                Take it back
              </Button>
            </li>
          )),
        )}
      </ul>
    </section>
  );
}
