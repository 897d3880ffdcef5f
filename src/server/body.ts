/** The body of a request, read as it comes; null as soon as it is longer than `most` bytes, and the rest is not read. */
export async function bodyUpTo(request: Request, most: number): Promise<Uint8Array | null> {
  if (Number(request.headers.get("content-length") ?? 0) > most) return null;
  const reader = request.body?.getReader();
  const chunks: Uint8Array[] = [];
  let length = 0;
  for (let next = await reader?.read(); next && !next.done; next = await reader?.read()) {
    length += next.value.length;
    if (length > most) {
      await reader?.cancel();
      return null;
    }
    chunks.push(next.value);
  }
  const out = new Uint8Array(length);
  let at = 0;
  for (const c of chunks) {
    out.set(c, at);
    at += c.length;
  }
  return out;
}
