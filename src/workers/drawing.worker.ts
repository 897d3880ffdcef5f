import { expose } from "comlink";
import { readDxf } from "../core/formats/dxf-in";

/** Reads drawings off the main thread: one that takes too long is left off without the page standing still. */
const api = { read: (text: string): ReturnType<typeof readDxf> => readDxf(text) };
export type DrawingWorker = typeof api;

expose(api);
