import { NextResponse, type NextRequest } from "next/server";
import { faultOfArgs } from "./server/action-args";
import { database } from "./data/client";
import { whoAsks } from "./data/people/sign-in";
import { contentPolicy, refusedBy, safeHeaders } from "./server/guard";
import { isOpen, toSignIn } from "./server/open-paths";
import { SIGNED_OUT, signInNeeded } from "./server/who";

/** Stands before every page, action and answer: who may ask, and what a page may do. */
export async function proxy(request: NextRequest): Promise<Response> {
  const refused = refusedBy(request) ?? (await refusedAction(request));
  if (refused) return refused;
  const seen = signInNeeded() ? await whoAsks(await database(), request.headers) : null;
  if (seen && !seen.who && !isOpen(request.nextUrl.pathname)) return signedOut(request);
  const nonce = btoa(crypto.randomUUID());
  const policy = contentPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set("content-security-policy", policy);
  for (const [name, value] of Object.entries(safeHeaders)) answer.headers.set(name, value);
  // A device in use stays signed in.
  for (const cookie of seen?.cookies ?? []) answer.headers.append("set-cookie", cookie);
  return answer;
}

/** A page sends on to where people sign in and comes back; anything else is told. */
function signedOut(request: NextRequest): Response {
  const { pathname, search, protocol } = request.nextUrl;
  // The host was looked at before: it is one of this server's own.
  const origin = `${protocol}//${request.headers.get("host")}`;
  if (request.method === "GET" && !pathname.startsWith("/api/"))
    return new Response(null, {
      status: 303,
      headers: { ...safeHeaders, location: new URL(toSignIn(pathname + search), origin).href },
    });
  return Response.json(
    { error: { code: "refused", message: SIGNED_OUT, path: "sign-in" } },
    { status: 401, headers: safeHeaders },
  );
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
