/** Who may do what. The wider role may all that the narrower may. */
export const ROLES = ["owner", "electrician", "apprentice", "reader"] as const;
export type Role = (typeof ROLES)[number];

/** What is done here, by the least of the roles that may do it. */
const LEAST = {
  /** Look at jobs, their plans, steps, record and exports. */
  look: "reader",
  /** Tick steps, take readings and photos, write into the record, keep answers of the Bench. */
  record: "apprentice",
  /** Change jobs and their plans, the catalogue and the schools; release surfaces. */
  plan: "electrician",
  /** People and their devices, backups, clearing the bin. */
  own: "owner",
} as const satisfies Record<string, Role>;
export type Doing = keyof typeof LEAST;

export const may = (role: Role, what: Doing): boolean => ROLES.indexOf(role) <= ROLES.indexOf(LEAST[what]);

const doing: Readonly<Record<Doing, string>> = {
  look: "Jobs are looked at",
  record: "The record is written",
  plan: "Plans, the catalogue and the schools are changed",
  own: "People, backups and the bin are seen to",
};

/** "by the owner", "by the owner or an electrician". */
const least: Readonly<Record<Role, string>> = {
  owner: "the owner",
  electrician: "the owner or an electrician",
  apprentice: "the owner, an electrician or an apprentice",
  reader: "anyone signed in",
};

/** Why somebody of this role may not do this; null where they may. */
export const refusalOfRole = (role: Role, what: Doing): string | null =>
  may(role, what) ? null : `${doing[what]} by ${least[LEAST[what]]}; you are signed in as ${withArticle(role)}.`;

const withArticle = (role: Role): string =>
  role === "owner" ? "the owner" : `${/^[aeo]/.test(role) ? "an" : "a"} ${role}`;

export const roleWords: Readonly<Record<Role, string>> = {
  owner: "Owner: all of it, people and backups too",
  electrician: "Electrician: plans and carries out, releases walls",
  apprentice: "Apprentice: carries out, ticks, reads meters, takes photos",
  reader: "Reader: looks, changes nothing",
};
