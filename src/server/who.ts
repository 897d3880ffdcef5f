import { headers } from "next/headers";
import { type Doing, type Role, refusalOfRole } from "../core/job/roles";
import { database } from "../data/client";
import { ofConsole } from "../data/console-key";
import { signInNeeded } from "../data/people/sign-in-needed";
import { whoAsks } from "../data/people/sign-in";

export { signInNeeded };

/** Who asks. Without sign-in it is whoever sits at this machine, who may all. */
export interface Me {
  id: string | null;
  name: string | null;
  role: Role;
  device: string | null;
}
const THIS_MACHINE: Me = { id: null, name: null, role: "owner", device: null };

/** Who asks with these headers; null where nobody is signed in and somebody must be. */
export async function whoIs(of: Headers): Promise<Me | null> {
  return signInNeeded() ? (await whoAsks(await database(), of)).who : THIS_MACHINE;
}

/** Who asks for the page or action that is being answered. */
export const me = async (): Promise<Me | null> => whoIs(await headers());

export const SIGNED_OUT = "This device is signed out. Sign in again; what you did is kept here until then.";

/** Whether who asks may do this; if not, why, in words. Actions ask it themselves: their address says nothing of what they do. */
export async function allowed(what: Doing): Promise<{ me: Me; refusal: null } | { me: Me | null; refusal: string }> {
  const who = await me();
  if (!who) return { me: null, refusal: SIGNED_OUT };
  const refusal = refusalOfRole(who.role, what);
  return refusal === null ? { me: who, refusal } : { me: who, refusal };
}

/** The answer to a request whose sender may not do this; null where they may. */
export async function notAllowed(request: Request, what: Doing): Promise<Response | null> {
  if (ofConsole(request.headers)) return null;
  const who = await whoIs(request.headers);
  const message = who ? refusalOfRole(who.role, what) : SIGNED_OUT;
  return message === null
    ? null
    : Response.json({ error: { code: "refused", message, path: "sign-in" } }, { status: who ? 403 : 401 });
}
