import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { database } from "../../data/client";
import { anybody } from "../../data/people/people";
import { ownPath } from "../../server/open-paths";
import { me, signInNeeded } from "../../server/who";
import { SignInForm } from "../../ui/people/sign-in-form";
import { beFirstOwner, signIn } from "../session-actions";

export const metadata: Metadata = { title: "Sign in" };
export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const q = await searchParams;
  const to = ownPath(q.to);
  if (!signInNeeded() || (await me())) redirect(to);
  return (
    <SignInForm
      first={!(await anybody(await database()))}
      code={typeof q.code === "string" ? q.code.slice(0, 40) : ""}
      to={to}
      actions={{ signIn, beFirstOwner }}
    />
  );
}
