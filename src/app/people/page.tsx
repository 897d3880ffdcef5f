import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { may } from "../../core/job/roles";
import { database } from "../../data/client";
import { listJobs } from "../../data/jobs";
import { devicesOf, peopleOf } from "../../data/people/people";
import { readerLinksOf } from "../../data/people/reader-links";
import { me, signInNeeded } from "../../server/who";
import { PeoplePage } from "../../ui/people/people-page";
import * as actions from "../session-actions";

export const metadata: Metadata = { title: "People" };
export const dynamic = "force-dynamic";

export default async function Page() {
  const who = await me();
  if (!signInNeeded() || !who?.id) redirect("/");
  const db = await database();
  const owner = may(who.role, "own");
  const shown = (await peopleOf(db)).filter((p) => owner || p.id === who.id);
  const jobs = may(who.role, "plan") ? await listJobs(db) : [];
  return (
    <PeoplePage
      mine={who.id}
      owner={owner}
      people={await Promise.all(shown.map(async (p) => ({ ...p, devices: await devicesOf(db, p.id, who.device) })))}
      jobs={await Promise.all(
        jobs.map(async (j) => ({ id: j.id, name: j.name, links: await readerLinksOf(db, j.id) })),
      )}
      address={process.env.LUMBET_ADDRESS ?? ""}
      actions={{
        signOut: actions.signOut,
        add: actions.addPerson,
        setRole: actions.setRole,
        remove: actions.removePerson,
        setPassphrase: actions.setPassphrase,
        signOutDevice: actions.signOutDevice,
        invite: actions.inviteDevice,
        makeLink: actions.makeReaderLink,
        takeBack: actions.takeBackReaderLink,
      }}
    />
  );
}
