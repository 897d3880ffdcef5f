import { SIGNED_OUT, whoIs } from "../../../server/who";

/** `GET /api/me`: who is signed in on the device that asks; 401 where nobody is and somebody must be. */
export async function GET(request: Request): Promise<Response> {
  const who = await whoIs(request.headers);
  return who
    ? Response.json({ name: who.name, role: who.role }, { headers: { "cache-control": "no-store" } })
    : Response.json({ error: { code: "refused", message: SIGNED_OUT, path: "sign-in" } }, { status: 401 });
}
