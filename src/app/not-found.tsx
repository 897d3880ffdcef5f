import Link from "next/link";

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl">That is not here</h1>
      <p className="mt-2 text-soft">The job may have been deleted, or the address is not quite right.</p>
      <Link className="mt-4 inline-block text-accent underline" href="/">
        Back to the jobs
      </Link>
    </main>
  );
}
