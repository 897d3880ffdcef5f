import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { signInNeeded } from "../../../server/who";
import { Join } from "../../../ui/people/join";
import { enter } from "../../session-actions";

export const metadata: Metadata = { title: "Invited", referrer: "no-referrer" };
export const dynamic = "force-dynamic";

export default async function Page({ params }: { params: Promise<{ token: string }> }) {
  if (!signInNeeded()) redirect("/");
  return <Join token={(await params).token} enter={enter} />;
}
