import { z } from "zod";
import type { House } from "../core/house/house";
import type { Plan } from "../core/laid/laid";
import { labelKinds, labelSheets, labelsOf } from "../core/papers/labels";
import { labelsPdf } from "./files/labels-pdf";

const most = Math.max(...labelSheets.map((s) => s.columns * s.rows));
const askedSchema = z.object({
  kinds: z
    .string()
    .transform((s) => s.split(",").filter(Boolean))
    .pipe(z.array(z.enum(labelKinds)).min(1)),
  sheet: z.enum(labelSheets.map((s) => s.id)),
  first: z.coerce.number().int().min(1).max(most).default(1),
});
const allowed: Record<string, string> = {
  kinds: `one or more of ${labelKinds.join(", ")}`,
  sheet: labelSheets.map((s) => s.id).join(", "),
  first: `a whole number from 1 to the labels of a sheet`,
};

/** The labels asked for as a PDF, or the sentence why there are none. */
export async function labelsAsked(
  request: Request,
  h: House,
  plan: Plan,
): Promise<{ ok: true; pdf: Buffer } | { ok: false; path: string; message: string }> {
  const q = new URL(request.url).searchParams;
  const asked = askedSchema.safeParse({
    kinds: q.get("kinds") ?? "",
    sheet: q.get("sheet") ?? "",
    first: q.get("first") || undefined,
  });
  const refuse = (path: string) => ({
    ok: false as const,
    path,
    message: `got ${JSON.stringify(q.get(path) ?? "")}; must be ${allowed[path] ?? allowed.kinds}`,
  });
  if (!asked.success) return refuse(String(asked.error.issues[0]?.path[0] ?? "kinds"));
  const { kinds, first } = asked.data;
  const sheet = labelSheets.find((s) => s.id === asked.data.sheet)!;
  if (first > sheet.columns * sheet.rows) return refuse("first");
  const labels = labelsOf(h, plan, kinds);
  if (!labels.length)
    return {
      ok: false,
      path: "kinds",
      message: "there is nothing to label yet: give circuits and lay their runs first",
    };
  return { ok: true, pdf: await labelsPdf(labels, sheet, first) };
}
