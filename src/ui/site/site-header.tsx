"use client";
import { ArrowLeft, Moon, Sun } from "lucide-react";
import Link from "next/link";
import { useTheme } from "../kit/theme";

const place = "inline-flex size-12 cursor-pointer items-center justify-center";

/** The bar of the site page: the way back, what is open, what waits to be sent, and the theme. */
export function SiteHeader({
  back,
  title,
  about,
  waits,
  listed,
  onList,
}: {
  /** A page to go back to, or what pressing it does. */
  back: string | { name: string; go: () => void };
  title: string;
  about: string;
  waits: number;
  /** Whether what waits is listed, and what turns that. */
  listed: boolean;
  onList: () => void;
}) {
  const [theme, turn] = useTheme();
  return (
    <header className="bar sticky top-0 z-10 flex min-h-16 items-center gap-3 bg-bar px-3 text-barink">
      {typeof back === "string" ? (
        <Link className={place} href={back} aria-label="Back to the desk">
          <ArrowLeft />
        </Link>
      ) : (
        <button type="button" className={place} onClick={back.go} aria-label={back.name}>
          <ArrowLeft />
        </button>
      )}
      <div className="min-w-0 flex-1">
        <h1 className="truncate text-xl">{title}</h1>
        <p className="text-[14px] opacity-80">{about}</p>
      </div>
      <button
        type="button"
        aria-expanded={listed}
        aria-controls="waiting"
        onClick={onList}
        className="min-h-12 cursor-pointer border border-current/50 px-2 py-1 text-right font-mono text-[12px] leading-tight"
      >
        <span role="status" data-to-send={waits}>
          {waits ? (
            <>
              kept here
              <br />
              {waits} to send
            </>
          ) : (
            "all sent"
          )}
        </span>
      </button>
      <button
        type="button"
        onClick={turn}
        className={place}
        aria-label={theme === "dark" ? "Light theme" : "Dark theme, for lofts"}
      >
        {theme === "dark" ? <Sun /> : <Moon />}
      </button>
    </header>
  );
}
