"use client";
import { useState } from "react";
import type { SeasonView } from "@/core/garden/seasonView";
import { alike, weeksOf, type Week, type WeekWork } from "@/core/garden/weeks";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";
import { weekWords, workWords } from "./weekWords";
import { unmetWords } from "../words";

/** The season as a list of weeks, for a screen that is too narrow for its picture: the same facts. */
export function WeekList({ view }: { readonly view: SeasonView }) {
  const weeks = weeksOf(view);
  const now = weeks.find(({ to }) => to > view.today);
  return (
    <ol aria-label="Season, week by week">
      {weeks.map((week) => (
        <WeekLine key={week.from} week={week} view={view} isNow={week === now} />
      ))}
    </ol>
  );
}

/** A week to open; what is in it is made when it is. */
function WeekLine({ week, view, isNow }: { readonly week: Week; readonly view: SeasonView; readonly isNow: boolean }) {
  const [isOpen, setOpen] = useState(isNow);
  return (
    <li className="border-b border-rule">
      <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-2 py-2">
          <span className="sign text-xl">{dayInWords(week.from)}</span>
          {isNow && <span className="bg-water px-1 text-sm font-bold text-on-strong">this week</span>}
          <span className="text-sm text-soft">{weekWords(week)}</span>
          <Troubles week={week} />
        </summary>
        {isOpen && <WeekBody week={week} view={view} />}
      </details>
    </li>
  );
}

function Troubles({ week: { areas, missed } }: { readonly week: Week }) {
  const over = areas.filter(({ most, sites }) => most > sites);
  if (over.length === 0 && missed.length === 0) return null;
  return (
    <span className="text-sm font-bold text-alarm">
      {[
        ...over.map(({ name, most, sites }) => `${name} ${counted(most - sites, "site")} over`),
        ...(missed.length > 0 ? [`${counted(missed.length, "order")} short`] : []),
      ].join(", ")}
    </span>
  );
}

function WeekBody({ week, view }: { readonly week: Week; readonly view: SeasonView }) {
  const area = (id: number) => view.growingAreas.find((growingArea) => growingArea.id === id)?.name ?? "";
  const taken = week.areas.filter(({ most }) => most > 0);
  return (
    <div className="pb-3">
      <WorkOfWeek work={alike(week.work)} />
      {week.missed.length > 0 && (
        <ul className="mt-1 text-sm text-alarm">
          {week.missed.map((line) => (
            <li key={`${line.orderId}-${line.day}`}>
              {line.customer}, {dayInWords(line.day, "weekday")}: {unmetWords(line.state, { ...line, area })}
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-2 space-y-1">
        {taken.map(({ id, name, most, sites }) => (
          <li key={id} className="flex items-center gap-2 text-sm">
            <span className="w-32 shrink-0 truncate">{name}</span>
            <span aria-hidden className="h-3 grow border border-soft bg-sheet">
              <span
                className={`block h-full ${most > sites ? "bg-alarm" : "bg-leaf"}`}
                style={{ width: `${Math.min(100, (100 * most) / Math.max(1, sites))}%` }}
              />
            </span>
            <span className={`w-24 shrink-0 text-right ${most > sites ? "font-bold text-alarm" : ""}`}>
              {most} of {sites}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The work of a week, day by day. */
function WorkOfWeek({ work }: { readonly work: readonly WeekWork[] }) {
  const days = [...new Set(work.map(({ day }) => day))];
  return (
    <dl>
      {days.map((day) => (
        <div key={day} className="flex gap-3 border-t border-rule py-1">
          <dt className="sign w-16 shrink-0 text-lg leading-6">{dayInWords(day, "weekday")}</dt>
          <dd className="grow">
            <ul>
              {work
                .filter((one) => one.day === day)
                .map((one) => (
                  <li key={`${one.kind} ${one.batchId} ${one.area}`} className="flex items-start gap-2 py-0.5">
                    <CropSwatch mark={one.mark} />
                    {workWords(one)}
                  </li>
                ))}
            </ul>
          </dd>
        </div>
      ))}
    </dl>
  );
}
