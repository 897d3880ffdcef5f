"use client";
import { Camera } from "lucide-react";
import { useState } from "react";
import { mm } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { photoSchema } from "../../../../core/job/model";
import { newId, say } from "../../../job/edits";
import { pictureUrl, sendPicture } from "../../../job/pictures";
import { change, edit, useDesk } from "../../../job/store";
import { Button } from "../../../kit/button";
import { Sheet } from "../../../kit/dialog";
import { FaultLine } from "../../../kit/fault-line";
import { TextField } from "../../../kit/field";
import { FileButton } from "../../../kit/file-button";
import { Measures } from "../../../kit/measures";

/** Photos attached to a wall at a place on it. */
export function Photos({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const [fault, setFault] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const photos = job.photos.filter((p) => p.wall === face.wall.id).sort((a, b) => a.u - b.u);
  const open = photos.find((p) => p.id === shown);
  const { length, height } = face.shape;
  const take = async (f: File): Promise<void> => {
    const sent = await sendPicture(job.id, f);
    if ("message" in sent) return setFault(`${f.name} was not taken: ${sent.message}.`);
    const id = newId("ph");
    const photo = photoSchema.parse({
      id,
      wall: face.wall.id,
      picture: sent.id,
      u: Math.round(length / 2),
      v: Math.round(height / 2),
      text: "",
      at: new Date().toISOString(),
    });
    setFault(edit([change("photos", id, photo)]));
  };
  const put = (next: Partial<(typeof photos)[number]>): string | null =>
    open ? edit([change("photos", open.id, { ...open, ...next })]) : null;
  return (
    <>
      <h3 className="mt-1">Photos</h3>
      <FaultLine fault={fault} />
      {photos.length ? (
        <ul className="grid grid-cols-3 gap-1">
          {photos.map((p) => (
            <li key={p.id}>
              <button
                type="button"
                className="block w-full cursor-pointer border border-line"
                onClick={() => setShown(p.id)}
                aria-label={`Photo ${p.text || `at ${mm(p.u)}, ${mm(p.v)}`}`}
              >
                <img
                  src={pictureUrl(job.id, p.picture)}
                  alt={p.text || "photo of the wall"}
                  className="block h-16 w-full object-cover"
                />
              </button>
            </li>
          ))}
        </ul>
      ) : null}
      <div>
        <FileButton
          mark="photo"
          accept="image/png,image/jpeg,image/webp"
          camera
          icon={<Camera size={14} />}
          onFile={(f) => void take(f)}
        >
          Add a photo
        </FileButton>
      </div>
      <Sheet
        open={open !== undefined}
        onOpenChange={(o) => !o && setShown(null)}
        wide
        title={`Photo on wall ${face.wall.index + 1} of ${face.room.name}`}
      >
        {open ? (
          <div className="grid gap-2">
            <img
              src={pictureUrl(job.id, open.picture)}
              alt={open.text || "photo of the wall"}
              className="block max-h-[56vh] w-full object-contain"
            />
            <TextField
              label="What it shows"
              required={false}
              most={200}
              value={open.text}
              onCommit={(text) => put({ text })}
            />
            <Measures
              of={open}
              rows={[
                { key: "u", label: "From left", name: "photo u", min: 0, max: length },
                { key: "v", label: "From floor", name: "photo v", min: 0, max: height },
              ]}
              put={put}
            />
            <div>
              <Button
                look="quiet"
                onClick={() => {
                  setShown(null);
                  say(edit([change("photos", open.id, null)]));
                }}
              >
                Remove the photo
              </Button>
            </div>
          </div>
        ) : null}
      </Sheet>
    </>
  );
}
