"use client";
import { DropdownMenu } from "radix-ui";
import { Keyboard, Menu, Moon, Search, Sun } from "lucide-react";
import Link from "next/link";
import { type Storing, useDesk, useStorey } from "../job/store";
import { useTheme } from "../kit/theme";

const words: Record<Storing, string> = {
  stored: "stored",
  storing: "storing",
  offline: "kept here, no connection",
  conflict: "to settle",
  refused: "not stored",
  gone: "not stored: job deleted",
  "signed-out": "kept here, signed out",
  "no-room": "kept here, server full",
};

const pages = (job: string): { name: string; href: string }[] => [
  { name: "Bench", href: "/bench" },
  { name: "Schools", href: `/schools?job=${job}` },
  { name: "Rules", href: "/rules" },
  { name: "Papers", href: `/jobs/${job}/papers` },
];

export function TopBar() {
  const name = useDesk((s) => s.job.name);
  const id = useDesk((s) => s.job.id);
  const room = useDesk((s) => s.job.rooms.find((r) => r.id === s.room)?.name);
  const shown = useStorey();
  const storey = useDesk((s) => s.job.storeys.find((x) => x.id === shown)?.name);
  const storing = useDesk((s) => s.storing);
  const [theme, turn] = useTheme();
  return (
    <header className="bar no-print flex min-h-12 items-center gap-x-4 gap-y-1 bg-bar px-3 text-barink">
      <Link href="/" className="font-cond text-xl font-bold tracking-wide">
        Lumbet
      </Link>
      <span className="min-w-0 truncate">
        <h1 className="inline font-sans text-[length:inherit] leading-[inherit] font-medium">{name}</h1>
        <span className="hidden text-[13px] opacity-80 md:inline">
          {" "}
          · {storey}
          {room ? ` › ${room}` : ""}
        </span>
      </span>
      <span
        role="status"
        className={`hidden text-[12.5px] whitespace-nowrap sm:inline ${storing === "refused" || storing === "gone" ? "font-semibold" : "opacity-80"}`}
        data-storing={storing}
      >
        {words[storing]}
      </span>
      <span className="flex-1" />
      <button
        type="button"
        onClick={() => useDesk.setState({ find: true })}
        className="inline-flex min-h-8 cursor-pointer items-center gap-2 border border-current/40 px-2 text-[13px] hover:border-current"
      >
        <Search size={14} aria-hidden />
        <span className="sr-only lg:not-sr-only">Find anything, or a command</span>
        <kbd aria-hidden className="hidden font-mono text-[11px] opacity-80 sm:inline">
          /
        </kbd>
      </button>
      <nav aria-label="Other pages" className="hidden gap-3 font-cond text-[14px] font-semibold md:flex">
        {pages(id).map((p) => (
          <Link key={p.name} className="py-1 hover:underline" href={p.href}>
            {p.name}
          </Link>
        ))}
      </nav>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          className="inline-flex size-9 shrink-0 cursor-pointer items-center justify-center border border-transparent hover:border-current md:hidden"
          aria-label="Other pages"
        >
          <Menu size={18} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            className="z-40 min-w-44 border border-ink bg-panel text-ink"
            aria-label="Other pages"
          >
            {pages(id).map((p) => (
              <DropdownMenu.Item key={p.name} asChild>
                <Link
                  href={p.href}
                  className="flex min-h-11 items-center px-3 font-cond text-[16px] font-semibold outline-none data-[highlighted]:bg-accent data-[highlighted]:text-onaccent"
                >
                  {p.name}
                </Link>
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Item
              className="flex min-h-11 cursor-pointer items-center px-3 font-cond text-[16px] font-semibold outline-none data-[highlighted]:bg-accent data-[highlighted]:text-onaccent"
              onSelect={() => useDesk.setState({ keysOpen: true })}
            >
              List of keys
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <button
        type="button"
        onClick={() => useDesk.setState({ keysOpen: true })}
        className="hidden size-8 cursor-pointer items-center justify-center border border-transparent hover:border-current md:inline-flex"
        aria-label="List of keys"
      >
        <Keyboard size={16} />
      </button>
      <button
        type="button"
        onClick={turn}
        data-theme-turn
        className="inline-flex size-8 cursor-pointer items-center justify-center border border-transparent hover:border-current"
        aria-label={theme === "dark" ? "Light theme" : "Dark theme"}
      >
        {theme === "dark" ? <Sun size={16} /> : <Moon size={16} />}
      </button>
      <span className="flex border border-current/50 text-[14px] font-semibold">
        <span aria-current="page" className="bg-barink px-2.5 py-1 font-cond text-bar">
          Desk
        </span>
        <Link href={`/jobs/${id}/site`} className="px-2.5 py-1 font-cond hover:underline">
          Site
        </Link>
      </span>
    </header>
  );
}
