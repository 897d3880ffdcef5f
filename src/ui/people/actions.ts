import type { Told } from "../job/actions";

/** What the pages of people ask of the server; the pages hand these in. */
export interface SignInActions {
  signIn: (name: string, passphrase: string) => Promise<Told>;
  beFirstOwner: (code: string, name: string, passphrase: string) => Promise<Told>;
}
type With<T> = ({ ok: true } & T) | { ok: false; message: string };

export interface PeopleActions {
  signOut: () => Promise<void>;
  add: (name: string, role: string, passphrase: string) => Promise<Told>;
  setRole: (id: string, role: string) => Promise<Told>;
  remove: (id: string) => Promise<Told>;
  setPassphrase: (id: string, passphrase: string) => Promise<Told>;
  signOutDevice: (device: string) => Promise<Told>;
  invite: (id: string) => Promise<With<{ token: string; minutes: number }>>;
  makeLink: (jobId: string, label: string) => Promise<With<{ token: string }>>;
  takeBack: (jobId: string, link: string) => Promise<Told>;
}
