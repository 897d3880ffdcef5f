import { NextResponse, type NextRequest } from "next/server";
import { faultOfArgs } from "./server/action-args";
import { contentPolicy, refusedBy, safeHeaders } from "./server/guard";

/** Stands before every page, action and answer: who may ask, and what a page may do. */
export async function proxy(request: NextRequest): Promise<Response> {
  const refused = refusedBy(request) ?? (await refusedAction(request));
  if (refused) return refused;
  const nonce = btoa(crypto.randomUUID());
  const policy = contentPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set("content-security-policy", policy);
  for (const [name, value] of Object.entries(safeHeaders)) answer.headers.set(name, value);
  return answer;
}

/** Arguments that no action could read are refused here, in words. */
async function refusedAction(request: NextRequest): Promise<Response | null> {
  if (request.method !== "POST" || !request.headers.has("next-action")) return null;
  const plain = request.headers.get("content-type")?.startsWith("text/plain");
  const message = plain ? faultOfArgs(await request.text()) : "arguments: come as text/plain";
  return message === null
    ? null
    : Response.json({ error: { code: "invalid", message, path: "arguments" } }, { status: 400, headers: safeHeaders });
}

// A backup is as large as it is: it is not held in memory here, and its route asks the same of its request.
export const config = { matcher: ["/((?!_next/static|_next/image|api/backup).*)"] };
