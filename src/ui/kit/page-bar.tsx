"use client";
import { Moon, Sun } from "lucide-react";
import Link from "next/link";
import { useMe } from "./me";
import { useTheme } from "./theme";

const places = [
  { href: "/", name: "Jobs" },
  { href: "/bench", name: "Bench" },
  { href: "/steps", name: "Steps" },
  { href: "/rules", name: "Rule book" },
  { href: "/catalogue", name: "Catalogue" },
  { href: "/schools", name: "Schools" },
  { href: "/people", name: "People" },
] as const;

/** The bar over every page that belongs to no one job. */
export function PageBar({ here }: { here: (typeof places)[number]["name"] }) {
  const [theme, turn] = useTheme();
  const me = useMe();
  return (
    <header className="bar no-print flex min-h-12 items-center gap-x-4 bg-bar px-4 text-barink">
      <Link href="/" className="font-cond text-xl font-bold tracking-wide max-sm:hidden">
        Lumbet
      </Link>
      <nav aria-label="Pages" className="flex min-w-0 flex-1 overflow-x-auto">
        {places
          .filter((p) => p.href !== "/people" || me.name !== null)
          .map((p) => (
            <Link
              key={p.href}
              href={p.href}
              aria-current={p.name === here ? "page" : undefined}
              className={`inline-flex min-h-12 items-center border-b-2 px-2.5 font-cond text-[15px] font-semibold whitespace-nowrap ${p.name === here ? "border-(--tape)" : "border-transparent hover:border-current"}`}
            >
              {p.href === "/people" ? `People: ${me.name}` : p.name}
            </Link>
          ))}
      </nav>
      <button
        type="button"
        onClick={turn}
        className="inline-flex size-9 shrink-0 cursor-pointer items-center justify-center border border-transparent hover:border-current"
        aria-label={theme === "dark" ? "Light theme" : "Dark theme"}
      >
        {theme === "dark" ? <Sun size={16} /> : <Moon size={16} />}
      </button>
    </header>
  );
}
