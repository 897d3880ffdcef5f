"use client";
import type { Why } from "../../core/routing/why";
import { closedWords, comparedWords, differenceWords, minutesWords } from "../../core/words/ways";
import { mm } from "../../core/base/figures";
import { askWorker } from "../job/ask";
import { useDesk } from "../job/store";
import { useAsked } from "../job/use-asked";
import { Button } from "../kit/button";

/** Why a run goes this way: what its way is made of, and what the next best ways would cost more. */
export function WhyThisWay({ run }: { run: string }) {
  const house = useDesk((s) => s.house);
  const { answer: why, ask } = useAsked<Why | "none">(async (job) => {
    const { catalogue, siteBook } = useDesk.getState();
    return (await askWorker((w) => w.why(job, catalogue, siteBook, run))) ?? "none";
  });
  if (why === null) return <Button onClick={ask}>Why this way?</Button>;
  if (why === "working")
    return (
      <p className="text-[13px] text-soft" aria-live="polite">
        Trying the other ways.
      </p>
    );
  if (why === "none")
    return <p className="text-[13px] text-soft">It is pinned by hand or done: it lies where it was put.</p>;
  return (
    <div className="text-[13px]" data-why aria-live="polite">
      <p>
        {why.next.some((n) => n.dearer < 0) ? "Taken" : "The cheapest at these weights"}:{" "}
        <span className="num">{mm(why.taken.length)}</span> of cable, {why.taken.newBores} new{" "}
        {why.taken.newBores === 1 ? "hole" : "holes"}
        {why.taken.bores > why.taken.newBores ? ` and ${why.taken.bores - why.taken.newBores} shared` : ""},{" "}
        {why.taken.wallHoles} {why.taken.wallHoles === 1 ? "hole" : "holes"} in walls
        {why.taken.studHoles ? `, ${why.taken.studHoles} in studs and noggins` : ""}, {why.taken.bends} bends,{" "}
        <span className="num">{mm(why.taken.chase)}</span> of chase
        {why.taken.boards >= 10 ? `, ${mm(why.taken.boards)} of boards up` : ""}: about{" "}
        {minutesWords(why.taken.minutes)}.
      </p>
      {why.next.length ? (
        <ul className="mt-1">
          {why.next.map((n) => (
            <li key={JSON.stringify(n.without)} className="border-t border-dotted border-line py-1">
              <span className="font-semibold">{closedWords(house, n.without)}</span>: {comparedWords(why.taken, n)};{" "}
              {differenceWords(why.taken, n.parts)}.
            </li>
          ))}
        </ul>
      ) : (
        <p className="mt-1 text-soft">There is no other legal way.</p>
      )}
    </div>
  );
}
