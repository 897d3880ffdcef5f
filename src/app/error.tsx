"use client";
import { Button } from "../ui/kit/button";

export default function Fault({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl">Something went wrong here</h1>
      <p className="mt-2 text-soft">What you stored is safe. The fault was: {error.message}</p>
      <Button className="mt-4" look="solid" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
