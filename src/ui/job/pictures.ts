"use client";
/** Longest side of a picture as it is kept, px: enough to read a plan or a wall by. */
const LONGEST = 1600;

/** Address of a kept picture. */
export const pictureUrl = (job: string, picture: string): string => `/api/jobs/${job}/pictures/${picture}`;

/** Makes a picture small enough to keep; words when it cannot be read. */
export async function shrunk(file: File): Promise<{ blob: Blob; width: number; height: number } | { message: string }> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return { message: "it is no picture that can be read; PNG, JPEG and WebP are" };
  }
  const share = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * share)),
    Math.max(1, Math.round(bitmap.height * share)),
  ];
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  canvas.getContext("2d")!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const blob = await new Promise<Blob | null>((done) =>
    canvas.toBlob(done, file.type === "image/png" ? "image/png" : "image/jpeg", 0.85),
  );
  return blob ? { blob, width, height } : { message: "the browser could not make it smaller" };
}

/**
 * Makes a picture small enough to keep, and sends it to the server.
 * @returns its id and size in px as kept, or words when it cannot be taken
 */
export async function sendPicture(
  job: string,
  file: File,
): Promise<{ id: string; width: number; height: number } | { message: string }> {
  const small = await shrunk(file);
  if ("message" in small) return small;
  const { blob, width, height } = small;
  try {
    const answer = await fetch(`/api/jobs/${job}/pictures`, {
      method: "POST",
      body: blob,
      headers: { "content-type": blob.type },
    });
    const body = (await answer.json()) as { id?: string; error?: { message: string } };
    return answer.ok && body.id
      ? { id: body.id, width, height }
      : { message: body.error?.message ?? "the server did not take it" };
  } catch {
    return { message: "the server did not answer; try again when it is running" };
  }
}
