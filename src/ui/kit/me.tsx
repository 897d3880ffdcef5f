"use client";
import { type ReactNode, createContext, useContext, useEffect } from "react";
import { type Doing, type Role, refusalOfRole } from "../../core/job/roles";
import { setPersonName } from "./person";

/** Who is signed in on this device; `name` null where nobody signs in because this machine alone can reach the server. */
export interface MeHere {
  name: string | null;
  role: Role;
}

const Here = createContext<MeHere>({ name: null, role: "owner" });

/** Tells all below who is signed in. Their name is the one that stands in the record and beside changes. */
export function MeProvider({ me, children }: { me: MeHere | null; children: ReactNode }) {
  const name = me?.name ?? null;
  useEffect(() => {
    if (name !== null) setPersonName(name);
  }, [name]);
  return <Here value={me ?? { name: null, role: "reader" }}>{children}</Here>;
}

export const useMe = (): MeHere => useContext(Here);

/** Why the person here may not do this, in words; null where they may. */
export const useRefusal = (what: Doing): string | null => refusalOfRole(useMe().role, what);
