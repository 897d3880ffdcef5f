import type { Metadata } from "next";
import Link from "next/link";
import { z } from "zod";
import { answer, groups } from "../../core/calculators/calculator";
import { calculators } from "../../core/calculators/registry";
import { PageBar } from "../../ui/kit/page-bar";

export const metadata: Metadata = { title: "Reference" };

/** Every calculator with its fields, limits, source and a worked example: made from the registry alone. */
export default function Page() {
  return (
    <div className="min-h-dvh">
      <PageBar here="Bench" />
      <main className="mx-auto max-w-4xl p-4 sm:p-6">
        <h1 className="text-3xl">Reference of the calculators</h1>
        <p className="text-soft">
          Each answers at four doors alike: the{" "}
          <Link className="underline" href="/bench">
            Bench
          </Link>
          , the command line <code className="num">npm run -s calc -- NAME &apos;JSON&apos;</code>, a batch of JSON
          lines with <code className="num">--batch</code>, and <code className="num">POST /api/calc/NAME</code>. Lengths
          in mm, angles in degrees, currents in A, resistances in Ω, areas in mm².
        </p>
        {groups.map((g) => (
          <section key={g} aria-label={g}>
            <h2 className="mt-6 border-b border-ink text-xl">{g}</h2>
            {calculators
              .filter((c) => c.group === g)
              .map((c) => {
                const example = answer(c, c.first);
                return (
                  <article key={c.name} id={c.name} className="scroll-mt-4 border-b border-dotted border-line py-3">
                    <h3 className="text-[17px]">
                      <span className="num">{c.name}</span>{" "}
                      <Link
                        className="font-normal underline decoration-dotted underline-offset-2"
                        href={`/bench/${c.name}`}
                      >
                        {c.purpose}
                      </Link>
                    </h3>
                    <p className="text-[13.5px] text-soft">{c.source}</p>
                    <details className="mt-1">
                      <summary className="cursor-pointer text-[14px]">Fields</summary>
                      <pre className="num overflow-x-auto border border-line bg-panel p-2 text-[12.5px]" tabIndex={0}>
                        {JSON.stringify(z.toJSONSchema(c.input, { io: "input" }), null, 1)}
                      </pre>
                    </details>
                    <pre className="num mt-1 overflow-x-auto text-[12.5px] whitespace-pre-wrap">{`npm run -s calc -- ${c.name} '${JSON.stringify(c.first)}'`}</pre>
                    <pre
                      className="num mt-1 max-h-40 overflow-auto text-[12.5px] whitespace-pre-wrap text-soft"
                      tabIndex={0}
                      aria-label={`Answer of ${c.name}`}
                    >
                      {JSON.stringify(example.ok ? example.output : example.error)}
                    </pre>
                  </article>
                );
              })}
          </section>
        ))}
      </main>
    </div>
  );
}
