import { createInterface } from "node:readline/promises";
import { roleWords } from "../core/job/roles";
import { database } from "../data/client";
import { comparable } from "../data/people/auth";
import { peopleOf, setPassphrase } from "../data/people/people";
import { StartFault } from "../data/start-fault";

/**
 * `npm run people`: who may sign in; `npm run people -- passphrase NAME` gives somebody a new passphrase, for an owner who has
 * forgotten theirs. While the server is stopped, or with DATABASE_URL.
 */
async function main(): Promise<string> {
  const [what, ...words] = process.argv.slice(2);
  if (what !== undefined && (what !== "passphrase" || !words.length))
    return refuse(`Not understood: ${process.argv.slice(2).join(" ")}. There are no words, or passphrase NAME.`);
  const db = await database();
  const people = await peopleOf(db);
  if (what === undefined)
    return people.map((p) => `${p.name} (${roleWords[p.role]})`).join("\n") || "Nobody signs in here yet.";
  const name = words.join(" ");
  const person = people.find((p) => comparable(p.name) === comparable(name));
  if (!person)
    return refuse(`There is nobody called ${name}; there are ${people.map((p) => p.name).join(", ") || "none yet"}.`);
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const told = await setPassphrase(db, person.id, await ask.question(`New passphrase for ${person.name}: `), null);
  ask.close();
  return told.ok ? `Set. All devices of ${person.name} are signed out.` : refuse(told.message);
}

function refuse(words: string): string {
  process.exitCode = 1;
  return words;
}

main().then(
  (words) => {
    console.log(words);
    process.exit();
  },
  (e: unknown) => {
    console.error(e instanceof StartFault ? e.message : e);
    process.exit(1);
  },
);
