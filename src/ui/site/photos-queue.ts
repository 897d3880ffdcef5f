"use client";
import { del, entries, set } from "idb-keyval";
import { nanoid } from "nanoid";
import { useCallback, useEffect, useMemo, useState } from "react";
import { shrunk } from "../job/pictures";
import { type KeptPhoto, PhotoStore } from "./photo-store";

const PREFIX = "lumbet-photo-";

async function send(job: string, p: KeptPhoto): Promise<{ ok: true } | { ok: false; message: string }> {
  const q = new URLSearchParams({ id: p.id, u: String(p.u), v: String(p.v), at: p.at });
  if (p.wall !== null) q.set("wall", p.wall);
  else if (p.deck) q.set("deck", p.deck);
  else if (p.outside) q.set("outside", p.outside);
  const answer = await fetch(`/api/jobs/${job}/photos?${q}`, {
    method: "POST",
    body: p.picture,
    headers: { "content-type": p.picture.type },
  });
  if (answer.ok) return { ok: true };
  const body = (await answer.json()) as { error?: { message: string } };
  const message = body.error?.message ?? "the server did not take it";
  // Signed out, a full disk or a server that is not well pass: it waits.
  if (answer.status === 401 || answer.status >= 500) throw new Error(message);
  return { ok: false, message };
}

/**
 * Photos of a job that were taken on this phone: those that wait or were refused, and the walls of those that went
 * since it was opened.
 */
export function usePhotos(job: string) {
  const [kept, setKept] = useState<KeptPhoto[]>([]);
  const [sent, setSent] = useState<KeptPhoto[]>([]);
  const store = useMemo(() => {
    const mine = `${PREFIX}${job}-`;
    return new PhotoStore(
      {
        all: async () =>
          (await entries<string, KeptPhoto>()).filter(([k]) => String(k).startsWith(mine)).map(([, p]) => p),
        put: (p) => set(mine + p.id, p),
        drop: (id) => del(mine + id),
      },
      async (p) => {
        const told = await send(job, p);
        if (told.ok) setSent((had) => [...had, p]);
        return told;
      },
    );
  }, [job]);
  const look = useCallback(async () => {
    const now = await store.kept();
    // Nothing then and nothing now is no change: the house is not laid out anew for it.
    setKept((had) => (had.length || now.length ? now : had));
  }, [store]);
  useEffect(() => void look().catch(() => undefined), [look]);
  const flush = useCallback(async () => {
    await store.flush().finally(look);
  }, [store, look]);
  const take = useCallback(
    async (
      file: File,
      at: { wall: string | null; deck: string | null; outside: string | null; u: number; v: number },
    ): Promise<string | null> => {
      const small = await shrunk(file);
      if ("message" in small) return small.message;
      try {
        await store.add({
          id: nanoid(16),
          ...at,
          at: new Date().toISOString(),
          picture: small.blob,
          refused: null,
        });
      } catch {
        return "this phone's storage is full: make room on it and take the photo again";
      }
      await look();
      void flush().catch(() => undefined);
      return null;
    },
    [store, look, flush],
  );
  const letGo = useCallback(
    async (id: string) => {
      await store.letGo(id);
      await look();
    },
    [store, look],
  );
  return { kept, sent, take, flush, letGo };
}
