import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import puppeteer, { type Browser, type Page } from "puppeteer-core";

/** A built server on a fresh data folder and a free port, with its own browser. */
export interface Running {
  address: string;
  browser: Browser;
  /** A fresh tab, as patient as a machine with twenty things to do at once needs. */
  newPage: () => Promise<Page>;
  /** Its data folder. */
  data: string;
  /** What the server has said on its console, beside that it is ready. */
  said: () => string;
  /** The server dies as it stands, and starts again at the same address. */
  kill: () => Promise<void>;
  again: () => Promise<void>;
  stop: () => Promise<void>;
}

/** How long a journey waits for anything, ms; the launch of the browser and its first answer included. */
const PATIENCE = 180_000;

const freePort = (): Promise<number> =>
  new Promise((done, fail) => {
    const s = createServer();
    s.once("error", fail);
    s.listen(0, "127.0.0.1", () => {
      const a = s.address();
      s.close(() => (a && typeof a === "object" ? done(a.port) : fail(new Error("no port"))));
    });
  });

const chromium = (): string => {
  const found = [process.env.CHROMIUM, "/usr/bin/chromium", "/usr/bin/chromium-browser", "/usr/bin/google-chrome"].find(
    (p) => p && existsSync(p),
  );
  if (!found) throw new Error("No Chromium: install Debian's chromium package, or name one in CHROMIUM.");
  return found;
};

/** `lan`: over TLS with sign-in, as in a local network; `database`: on a PostgreSQL server instead of the embedded one. */
export interface StartOptions {
  lan?: boolean;
  database?: string;
}

export async function start({ lan = false, database }: StartOptions = {}): Promise<Running> {
  if (!existsSync(".next/BUILD_ID") || !readFileSync(".next/BUILD_ID", "utf8"))
    throw new Error("Not built: run `npm run build` first.");
  const port = await freePort();
  const data = mkdtempSync(join(tmpdir(), "lumbet-e2e-"));
  const spawned = (): ChildProcess =>
    spawn(
      process.execPath,
      lan
        ? ["scripts/serve-lan.mjs"]
        : ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(port)],
      {
        stdio: ["ignore", "pipe", "pipe"],
        env: {
          ...process.env,
          PORT: String(port),
          LUMBET_DATA: data,
          NEXT_TELEMETRY_DISABLED: "1",
          ...(database ? { DATABASE_URL: database } : {}),
        },
      },
    );
  let said = "";
  let server: ChildProcess;
  const begin = async (): Promise<void> => {
    server = spawned();
    server.stderr!.on("data", (c: Buffer) => {
      said += String(c);
      process.stderr.write(c);
    });
    await new Promise<void>((ready, fail) => {
      server.stdout!.on("data", (c) => /Ready|Lumbet answers/.test(String(c)) && ready());
      server.once("exit", (code) => fail(new Error(`The server ended at once (${code})`)));
    });
  };
  const end = async (signal: "SIGTERM" | "SIGKILL"): Promise<void> => {
    if (server.exitCode !== null || server.signalCode !== null) return;
    const gone = new Promise((r) => server.once("exit", r));
    server.kill(signal);
    await gone;
  };
  await begin();
  const browser = await puppeteer.launch({
    timeout: PATIENCE,
    protocolTimeout: PATIENCE,
    executablePath: chromium(),
    args: [
      "--headless=new",
      "--no-sandbox",
      "--disable-gpu",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
      "--no-first-run",
      "--use-angle=swiftshader",
      "--enable-unsafe-swiftshader",
    ],
    acceptInsecureCerts: lan,
  });
  return {
    address: `${lan ? "https" : "http"}://127.0.0.1:${port}`,
    data,
    said: () => said,
    browser,
    newPage: async () => {
      const page = await browser.newPage();
      page.setDefaultTimeout(PATIENCE);
      page.setDefaultNavigationTimeout(PATIENCE);
      return page;
    },
    kill: () => end("SIGKILL"),
    again: begin,
    stop: async () => {
      await browser.close();
      await end("SIGTERM");
      rmSync(data, { recursive: true, force: true });
    },
  };
}
