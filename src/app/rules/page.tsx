import type { Metadata } from "next";
import { bookTables } from "../../core/book/tables";
import { catalogueOf } from "../../data/catalogue";
import { database } from "../../data/client";
import { RuleBook } from "../../ui/rules/rule-book";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Rule book" };

export default async function Page() {
  return <RuleBook tables={bookTables(await catalogueOf(await database()))} />;
}
