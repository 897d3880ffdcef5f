import { NextResponse, type NextRequest } from "next/server";
import { allowedHosts, contentPolicy, refusalOf, safeHeaders } from "./server/guard";

const hosts = allowedHosts(process.env.LUMBET_HOSTS);

/** Stands before every page, action and answer: who may ask, and what a page may do. */
export function proxy(request: NextRequest): NextResponse {
  const refused = refusalOf(
    { method: request.method, path: request.nextUrl.pathname, header: (name) => request.headers.get(name) },
    hosts,
  );
  if (refused)
    return NextResponse.json(
      { error: { code: "refused", message: refused.message, path: refused.message.split(":")[0] } },
      { status: refused.status, headers: safeHeaders },
    );
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

export const config = { matcher: ["/((?!_next/static|_next/image).*)"] };
