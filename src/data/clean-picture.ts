import sharp from "sharp";
import { pictureKind } from "../core/formats/picture";
import type { Picture } from "./pictures";

/** Longest side kept, px; a phone's picture of a wall is read well at half of it. */
export const SIDE_MOST = 4000;
/** Most pixels that are decoded: what says it has more is not opened. */
const PIXELS_MOST = 60_000_000;

/**
 * A picture decoded and written anew: turned as its camera held it, within bounds, and with nothing in it but the picture (no
 * place, no owner, nothing hidden behind its end).
 * @returns its kind and bytes, or why it is not kept, in words
 */
export async function cleanPicture(
  bytes: Uint8Array,
): Promise<{ type: Picture["type"]; bytes: Buffer } | { message: string }> {
  const kind = pictureKind(bytes);
  if ("message" in kind) return kind;
  try {
    const made = sharp(bytes, { limitInputPixels: PIXELS_MOST, failOn: "error" })
      .rotate()
      .resize({ width: SIDE_MOST, height: SIDE_MOST, fit: "inside", withoutEnlargement: true });
    const out =
      kind.type === "image/png"
        ? made.png()
        : kind.type === "image/webp"
          ? made.webp({ quality: 85 })
          : made.jpeg({ quality: 85 });
    return { type: kind.type, bytes: await out.toBuffer() };
  } catch (e) {
    const pixels = /pixel limit/i.test((e as Error).message);
    return {
      message: pixels
        ? `the picture has more than ${PIXELS_MOST / 1e6} million pixels; take it smaller`
        : "the file begins like a picture but cannot be read to its end; take or save it again",
    };
  }
}
