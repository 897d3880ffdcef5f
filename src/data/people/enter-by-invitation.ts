import { createAuthEndpoint } from "better-auth/api";
import { setSessionCookie } from "better-auth/cookies";
import { z } from "zod";
import { hashOf } from "./token";

/** Signs a device in that was invited: the invitation is used up, whatever comes of it. */
export const enterByInvitation = () => ({
  id: "enter-by-invitation",
  endpoints: {
    enterByInvitation: createAuthEndpoint(
      "/enter-by-invitation",
      { method: "POST", body: z.object({ token: z.string().max(200) }) },
      async (c) => {
        const { internalAdapter } = c.context;
        const invited = await internalAdapter.consumeVerificationValue(invitationOf(c.body.token));
        if (!invited || invited.expiresAt < new Date()) return c.json(null);
        const user = await internalAdapter.findUserById(invited.value);
        if (!user) return c.json(null);
        const session = await internalAdapter.createSession(user.id);
        await setSessionCookie(c, { session, user });
        return c.json({ id: user.id });
      },
    ),
  },
});

/** How an invitation is called in the database: by a hash, so that who reads it there cannot use it. */
export const invitationOf = (token: string): string => `device:${hashOf(token)}`;
