"use client";
import { wrap } from "comlink";
import type { readDxf } from "../../../core/formats/dxf-in";
import type { DrawingWorker } from "../../../workers/drawing.worker";

type Read = ReturnType<typeof readDxf>;

/** How long a drawing may take to be read, seconds. */
const LIMIT = 20;

/** Reads a drawing of lines beside the page; one that takes too long is refused in words. */
export async function readDrawing(text: string): Promise<Read> {
  const worker = new Worker(new URL("../../../workers/drawing.worker.ts", import.meta.url), { type: "module" });
  const no = (message: string): Read => ({ refusals: [{ path: "", message }] });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<Read>((done) => {
    const words = `it takes longer than ${LIMIT} s to read; save only the layers with walls`;
    timer = setTimeout(() => done(no(words)), LIMIT * 1000);
    worker.onerror = () => done(no("its reader could not be started; try again when there is a signal"));
  });
  try {
    return await Promise.race([wrap<DrawingWorker>(worker).read(text), late]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
