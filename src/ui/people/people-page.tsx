"use client";
import { LogOut, Plus, QrCode } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { ROLES, type Role, roleWords } from "../../core/job/roles";
import type { Told } from "../job/actions";
import { Button } from "../kit/button";
import { FaultLine } from "../kit/fault-line";
import { Sheet } from "../kit/dialog";
import { TextField } from "../kit/field";
import { PageBar } from "../kit/page-bar";
import { dropKept } from "../kit/keep-for-offline";
import type { PeopleActions } from "./actions";
import { agentName } from "./agent-name";
import { LinkSheet, type ShownLink } from "./link-sheet";
import { type LinkedJob, ReaderLinks } from "./reader-links";

export interface PersonLine {
  id: string;
  name: string;
  role: Role;
  devices: { id: string; agent: string; since: string; seen: string; here: boolean }[];
}

type Asked = { kind: "add" } | { kind: "passphrase"; of: PersonLine } | { kind: "remove"; of: PersonLine };

/** Who may come in, on what devices, and who reads the wall sheets. The owner sees to all of it, anyone to their own. */
export function PeoplePage({
  people,
  mine,
  owner,
  jobs,
  address,
  actions,
}: {
  people: PersonLine[];
  /** Id of who looks. */
  mine: string;
  owner: boolean;
  /** Jobs whose sheets may be shown by link; none where one may not. */
  jobs: LinkedJob[];
  address: string;
  actions: PeopleActions;
}) {
  const router = useRouter();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [link, setLink] = useState<ShownLink | null>(null);
  const offline = (): void =>
    void toast.error("The server did not answer. Nothing has changed; try again when it is running.");
  const act = (what: Promise<Told>, done: string): void =>
    void what.then((told) => {
      if (told.ok) toast(done);
      else toast.error(told.message);
      router.refresh();
    }, offline);
  const invite = (p: PersonLine): void =>
    void actions.invite(p.id).then((told) => {
      if (!told.ok) return void toast.error(told.message);
      setLink({
        title: `Invite a device of ${p.name}`,
        about: `Scan it with the phone's camera, on the same network. It is good for ${told.minutes} minutes and one device.`,
        path: `/join/${told.token}`,
      });
    }, offline);
  return (
    <div className="min-h-dvh">
      <PageBar here="People" />
      <main className="mx-auto max-w-4xl p-4 sm:p-6">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-3xl">{owner ? "People" : "You and your devices"}</h1>
            <p className="text-soft">Every change and every line of the record stands under the name of who made it.</p>
          </div>
          <div className="flex flex-wrap gap-1.5">
            {owner ? (
              <Button look="solid" icon={<Plus size={15} />} onClick={() => setAsked({ kind: "add" })}>
                Add a person
              </Button>
            ) : null}
            <Button
              icon={<LogOut size={15} />}
              onClick={() =>
                void actions
                  .signOut()
                  .then(dropKept)
                  .then(() => window.location.assign("/sign-in"), offline)
              }
            >
              Sign out here
            </Button>
          </div>
        </div>
        <ul className="border-t border-ink">
          {people.map((p) => (
            <li key={p.id} className="border-b border-line py-3" data-person={p.name}>
              <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                <div className="min-w-0 flex-1 basis-56">
                  <h2 className="font-cond text-xl font-semibold">
                    {p.name} {p.id === mine ? <span className="text-soft">(you)</span> : null}
                  </h2>
                  {owner ? (
                    <label className="text-[14px] text-soft">
                      <span className="sr-only">Role of {p.name}</span>
                      <select
                        className="min-h-9 max-w-full border border-line bg-field px-2 text-ink"
                        value={p.role}
                        onChange={(e) => act(actions.setRole(p.id, e.target.value), `${p.name} has another role`)}
                      >
                        <RoleOptions />
                      </select>
                    </label>
                  ) : (
                    <p className="text-[14px] text-soft">{roleWords[p.role]}</p>
                  )}
                </div>
                <div className="flex flex-wrap gap-1.5">
                  <Button
                    icon={<QrCode size={15} />}
                    aria-label={`Invite a device of ${p.name}`}
                    onClick={() => invite(p)}
                  >
                    Invite a device
                  </Button>
                  <Button
                    aria-label={`New passphrase for ${p.name}`}
                    onClick={() => setAsked({ kind: "passphrase", of: p })}
                  >
                    New passphrase
                  </Button>
                  {owner ? (
                    <Button aria-label={`Take off ${p.name}`} onClick={() => setAsked({ kind: "remove", of: p })}>
                      Take off
                    </Button>
                  ) : null}
                </div>
              </div>
              {p.devices.length ? (
                <ul className="mt-2 ml-1 grid gap-1 border-l-2 border-line pl-3 text-[14px]">
                  {p.devices.map((d) => (
                    <li key={d.id} className="flex flex-wrap items-center gap-x-3">
                      <span className="min-w-0 flex-1 basis-56">
                        {agentName(d.agent)}
                        {d.here ? ", this one" : ""}
                        <span className="text-soft">
                          {" "}
                          · used {d.seen.slice(0, 10)}, signed in {d.since.slice(0, 10)}
                        </span>
                      </span>
                      {d.here ? null : (
                        <Button
                          aria-label={`Sign out ${agentName(d.agent)} of ${p.name}`}
                          onClick={() => act(actions.signOutDevice(d.id), "That device is signed out")}
                        >
                          Sign it out
                        </Button>
                      )}
                    </li>
                  ))}
                </ul>
              ) : (
                <p className="mt-1 text-[14px] text-soft">Signed in nowhere.</p>
              )}
            </li>
          ))}
        </ul>
        {jobs.length ? <ReaderLinks jobs={jobs} actions={actions} show={setLink} /> : null}
      </main>
      <LinkSheet link={link} address={address} onClose={() => setLink(null)} />
      <PersonSheet asked={asked} close={() => setAsked(null)} actions={actions} done={() => router.refresh()} />
    </div>
  );
}

/** Adding a person, another passphrase, or taking somebody off. */
function PersonSheet({
  asked,
  close,
  actions,
  done,
}: {
  asked: Asked | null;
  close: () => void;
  actions: PeopleActions;
  done: () => void;
}) {
  const [name, setName] = useState("");
  const [role, setRole] = useState<Role>("electrician");
  const [passphrase, setPassphrase] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const shut = (): void => {
    setName("");
    setPassphrase("");
    setFault(null);
    close();
  };
  const send = async (): Promise<void> => {
    if (!asked) return;
    try {
      const told =
        asked.kind === "add"
          ? await actions.add(name, role, passphrase)
          : asked.kind === "remove"
            ? await actions.remove(asked.of.id)
            : await actions.setPassphrase(asked.of.id, passphrase);
      if (!told.ok) return setFault(told.message);
      shut();
      done();
    } catch {
      setFault("The server did not answer. Nothing has changed; try again when it is running.");
    }
  };
  const words = {
    add: {
      title: "Add a person",
      about: "Tell them the passphrase yourself, or invite their device afterwards.",
      go: "Add",
    },
    passphrase: {
      title: `New passphrase for ${nameOf(asked)}`,
      about: "All their other devices are signed out.",
      go: "Set it",
    },
    remove: {
      title: `Take ${nameOf(asked)} off?`,
      about: "Their devices are signed out at once. What they did stays in the record under their name.",
      go: "Take off",
    },
  }[asked?.kind ?? "add"];
  return (
    <Sheet open={asked !== null} onOpenChange={(o) => !o && shut()} title={words.title} about={words.about}>
      <div className="grid gap-2">
        {asked?.kind === "add" ? (
          <>
            <TextField label="Name" value={name} most={60} onCommit={() => {}} onDraft={setName} />
            <label className="grid grid-cols-[minmax(5.5rem,2fr)_3fr] items-center gap-x-2 text-[13px] text-soft">
              Role
              <select
                data-field="Role"
                className="min-h-8 w-full border border-line bg-field px-2 text-[15px] text-ink"
                value={role}
                onChange={(e) => setRole(e.target.value as Role)}
              >
                <RoleOptions />
              </select>
            </label>
          </>
        ) : null}
        {asked && asked.kind !== "remove" ? (
          <TextField label="Passphrase" value={passphrase} most={200} onCommit={() => {}} onDraft={setPassphrase} />
        ) : null}
        <FaultLine big fault={fault} />
        <div className="flex justify-end gap-2">
          <Button look={asked?.kind === "remove" ? "danger" : "solid"} data-do onClick={() => void send()}>
            {words.go}
          </Button>
        </div>
      </div>
    </Sheet>
  );
}

const nameOf = (asked: Asked | null): string => (asked && asked.kind !== "add" ? asked.of.name : "");

function RoleOptions() {
  return ROLES.map((r) => (
    <option key={r} value={r}>
      {roleWords[r]}
    </option>
  ));
}
