import { createInterface } from "node:readline";
import { z } from "zod";
import { type Answer, type InputError, answer } from "../core/calculators/calculator";
import { calculatorNamed, calculators } from "../core/calculators/registry";

/** `npm run -s calc -- NAME 'JSON'`, `--list`, `--schema NAME`, `--batch`. Bad input: exit 2, stdout empty, one JSON object on stderr. */

function fail(error: InputError): never {
  process.stderr.write(JSON.stringify({ error }) + "\n");
  process.exit(2);
}

const unknown = (name: unknown): InputError => ({
  code: "unknown-calculator",
  message: `name: got ${JSON.stringify(name) ?? "nothing"}; must be one of ${calculators.map((c) => c.name).join(", ")}`,
  path: "name",
});

function run(name: unknown, input: unknown): Answer {
  const c = typeof name === "string" ? calculatorNamed(name) : null;
  return c ? answer(c, input) : { ok: false, error: unknown(name) };
}

function parse(text: string): { ok: true; value: unknown } | { ok: false; error: InputError } {
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch (e) {
    return {
      ok: false,
      error: { code: "not-json", message: `input: is not whole JSON: ${(e as Error).message}`, path: "" },
    };
  }
}

async function batch(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (!line.trim()) continue;
    const read = parse(line);
    const item = read.ok ? (read.value as { name?: unknown; input?: unknown } | null) : null;
    const out = read.ok ? run(item?.name, item?.input) : read;
    process.stdout.write(JSON.stringify(out) + "\n");
  }
}

const [first, second] = process.argv.slice(2);
if (first === "--list")
  process.stdout.write(
    calculators
      .map((c) => c.name)
      .sort()
      .join("\n") + "\n",
  );
else if (first === "--schema") {
  const c = calculatorNamed(second ?? "");
  if (!c) fail(unknown(second));
  process.stdout.write(JSON.stringify(z.toJSONSchema(c.input, { io: "input" }), null, 2) + "\n");
} else if (first === "--batch") await batch();
else if (first === undefined)
  fail({
    code: "usage",
    message: "name a calculator: npm run -s calc -- NAME 'JSON', or --list, --schema NAME, --batch",
    path: "",
  });
else {
  const c = calculatorNamed(first);
  if (!c) fail(unknown(first));
  const read = parse(second ?? "");
  if (!read.ok) fail(read.error);
  const out = answer(c, read.value);
  if (!out.ok) fail(out.error);
  process.stdout.write(JSON.stringify(out.output) + "\n");
}
