"use client";
import { Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { useMemo } from "react";
import type { Work } from "../../core/job/model";
import { nowOf } from "../../core/record/day";
import { learnedTimes } from "../../core/record/learned";
import { partsOf } from "../../core/record/parts";
import { taskKinds, workKinds } from "../../core/rules/times";
import { change, edit, useDesk, usePlan } from "../job/store";
import { Button } from "../kit/button";
import { CheckField, NumberField, SelectField, TextField } from "../kit/field";

/** Hours, people, times of work and other trades: what the days are worked out from. */
export function WorkPanel() {
  const job = useDesk((s) => s.job);
  const house = useDesk((s) => s.house);
  const siteBook = useDesk((s) => s.siteBook);
  const plan = usePlan();
  const { work } = job;
  const learned = useMemo(() => (plan ? learnedTimes(partsOf(house, plan), siteBook) : {}), [house, plan, siteBook]);
  const put = (next: Partial<Work>): string | null => edit([change("head", "work", { ...work, ...next })]);
  const clock = (label: string, key: "start" | "end" | "breakAt" | "noiseFrom" | "noiseUntil") => (
    <TextField
      label={label}
      most={20}
      value={work[key]}
      onCommit={(x) => {
        const m = /^([0-9]{1,2})[:. ]?([0-9]{2})$/.exec(x.trim());
        const [h, min] = [Number(m?.[1]), Number(m?.[2])];
        if (!m || h > 23 || min > 59) return `${label} is “${x}”; give a time of day such as 08:00.`;
        return put({ [key]: `${String(h).padStart(2, "0")}:${String(min).padStart(2, "0")}` });
      }}
    />
  );
  return (
    <section aria-label="Days" className="grid gap-1.5" data-work>
      <h2 className="text-lg">Days</h2>
      {work.people.map((name, i) => (
        <TextField
          key={i}
          label={`Person ${i + 1}`}
          most={60}
          value={name}
          onCommit={(x) => put({ people: work.people.map((p, k) => (k === i ? x : p)) })}
        />
      ))}
      <CheckField
        label="Two people"
        value={work.people.length === 2}
        onCommit={(two) => put({ people: two ? [work.people[0]!, "Electrician 2"] : [work.people[0]!] })}
      />
      <TextField
        label="First day"
        most={20}
        value={work.first ?? ""}
        onCommit={(x) => {
          if (!x.trim()) return put({ first: null });
          return isDate(x)
            ? put({ first: x.trim() })
            : `First day is “${x}”; give a date such as ${nowOf(new Date()).date}, or leave it empty for today.`;
        }}
      />
      {clock("Day begins", "start")}
      {clock("Day ends", "end")}
      {clock("Break at", "breakAt")}
      <NumberField
        label="Break"
        unit="min"
        whole
        step={5}
        min={0}
        max={180}
        value={work.breakMinutes}
        onCommit={(breakMinutes) => put({ breakMinutes })}
      />
      {job.dwelling.occupied ? (
        <>
          {clock("Noise from", "noiseFrom")}
          {clock("Noise until", "noiseUntil")}
        </>
      ) : (
        <p className="text-[13px] text-soft">Nobody lives in the house: noise at all hours of work.</p>
      )}
      <CheckField label="Saturdays too" value={work.saturday} onCommit={(saturday) => put({ saturday })} />
      <details>
        <summary className="cursor-pointer text-[13.5px]">How long things take</summary>
        <div className="grid gap-1 pt-1">
          {taskKinds.map((k) => {
            const t = workKinds[k];
            const usual = t.each * (learned[k] ?? 1);
            return (
              <div key={k}>
                <NumberField
                  label={t.name}
                  name={`minutes ${k}`}
                  unit={`min a ${t.one}`}
                  step={0.1}
                  min={0.1}
                  max={600}
                  value={work.minutes[k] ?? usual}
                  onCommit={(x) => put({ minutes: { ...work.minutes, [k]: x } })}
                />
                <p className="text-[12.5px] text-soft">
                  {work.minutes[k] !== undefined ? "yours" : learned[k] !== undefined ? "learned here" : "usual"}
                  {work.minutes[k] !== undefined ? (
                    <button
                      type="button"
                      className="ml-2 cursor-pointer underline"
                      onClick={() => {
                        const { [k]: _, ...rest } = work.minutes;
                        put({ minutes: rest });
                      }}
                    >
                      as usual
                    </button>
                  ) : null}
                </p>
              </div>
            );
          })}
        </div>
      </details>
      <div className="flex items-center justify-between">
        <h3 className="text-[15px]">Other trades, drying</h3>
        <Button
          icon={<Plus size={14} />}
          onClick={() => {
            const today = nowOf(new Date()).date;
            put({
              away: [
                ...work.away,
                {
                  id: `away-${nanoid(6)}`,
                  what: "Plaster dries",
                  room: job.rooms[0]?.id ?? null,
                  from: today,
                  until: today,
                },
              ],
            });
          }}
        >
          Add
        </Button>
      </div>
      {work.away.map((a) => {
        const set = (next: Partial<typeof a>): string | null =>
          put({ away: work.away.map((x) => (x.id === a.id ? { ...x, ...next } : x)) });
        const date = (label: string, key: "from" | "until") => (
          <TextField
            label={label}
            most={20}
            value={a[key]}
            onCommit={(x) => {
              if (!isDate(x)) return `${label} is “${x}”; give a date such as ${a.from}.`;
              const next = { ...a, [key]: x.trim() };
              if (next.until < next.from) return `${label} is ${x}; the last day is not before the first.`;
              return set({ [key]: x.trim() });
            }}
          />
        );
        return (
          <div key={a.id} className="grid gap-1 border border-line p-2">
            <TextField label="What" most={60} value={a.what} onCommit={(what) => set({ what })} />
            <SelectField
              label="Room"
              value={a.room ?? ""}
              options={[
                { value: "", name: "the whole house" },
                ...job.rooms.map((r) => ({ value: r.id, name: r.name })),
              ]}
              onCommit={(x) => set({ room: x || null })}
            />
            {date("First day", "from")}
            {date("Last day", "until")}
            <Button
              look="quiet"
              icon={<Trash2 size={14} />}
              onClick={() => put({ away: work.away.filter((x) => x.id !== a.id) })}
            >
              Remove
            </Button>
          </div>
        );
      })}
    </section>
  );
}

/** A date of the calendar as YYYY-MM-DD. */
function isDate(text: string): boolean {
  const t = text.trim();
  if (!/^[0-9]{4}-[0-9]{2}-[0-9]{2}$/.test(t)) return false;
  const d = new Date(`${t}T00:00:00Z`);
  return Number.isFinite(d.getTime()) && d.toISOString().slice(0, 10) === t;
}
