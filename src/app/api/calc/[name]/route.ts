import { catalogueOf } from "../../../../data/catalogue";
import { database } from "../../../../data/client";
import { bodyUpTo } from "../../../../server/body";
import { answer } from "../../../../core/calculators/calculator";
import { calculatorNamed, calculators } from "../../../../core/calculators/registry";

/** Largest body accepted, bytes. */
const MOST = 2_000_000;

/** `POST /api/calc/NAME`: the calculator's input as JSON; 200 with its output, or 422 with the refusal in words. */
export async function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  const refuse = (code: string, message: string, path = ""): Response =>
    Response.json({ error: { code, message, path } }, { status: 422 });
  const c = calculatorNamed(name);
  if (!c)
    return refuse(
      "unknown-calculator",
      `name: got ${JSON.stringify(name)}; must be one of ${calculators.map((x) => x.name).join(", ")}`,
      "name",
    );
  const bytes = await bodyUpTo(request, MOST);
  if (!bytes) return refuse("too-large", `input: has more than ${MOST} bytes; that is the most that is read`);
  const text = new TextDecoder().decode(bytes);
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (e) {
    return refuse("not-json", `input: is not whole JSON: ${(e as Error).message}`);
  }
  const out = answer(c, input, await catalogueOf(await database()));
  return out.ok ? Response.json(out.output) : Response.json({ error: out.error }, { status: 422 });
}
