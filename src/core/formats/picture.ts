/** Largest picture kept, bytes. */
export const PICTURE_MOST = 8_000_000;

/** Kinds of picture kept. */
export type PictureType = "image/png" | "image/jpeg" | "image/webp";
/** How each kind begins: names and endings lie. */
const beginnings: [type: PictureType, ok: (b: Uint8Array) => boolean][] = [
  ["image/png", (b) => [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a].every((x, i) => b[i] === x)],
  ["image/jpeg", (b) => b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff],
  [
    "image/webp",
    (b) => String.fromCharCode(...b.slice(0, 4)) === "RIFF" && String.fromCharCode(...b.slice(8, 12)) === "WEBP",
  ],
];

/** Kind of a picture from its bytes, or why it is not kept, in words. */
export function pictureKind(bytes: Uint8Array): { type: PictureType } | { message: string } {
  if (!bytes.length) return { message: "the picture is empty" };
  if (bytes.length > PICTURE_MOST)
    return { message: `the picture has ${bytes.length} bytes; at most ${PICTURE_MOST} are kept` };
  const found = beginnings.find(([, ok]) => ok(bytes));
  return found ? { type: found[0] } : { message: "the file is no picture that is kept; PNG, JPEG and WebP are" };
}
