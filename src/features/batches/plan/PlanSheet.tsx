"use client";
import { useState } from "react";
import type { ClosedDay, SeasonSettings } from "@/core/garden/garden";
import { dayInWords, WEEKDAYS, type Day } from "@/core/units/day";
import { counted, percentText } from "@/core/units/format";
import type { SeasonTold } from "@/core/garden/season/told";
import type { SeasonDraft } from "@/server/batches/seasonDraft";
import { askSeason } from "@/server/batches/season";
import { endJob } from "@/server/jobs/actions";
import type { Job } from "@/server/jobs/job";
import { isAtWork, JobLine } from "@/features/frame/JobLine";
import { useJob } from "@/features/frame/jobEvents";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { useUnits } from "@/ui/units";
import { LiveDraft } from "./LiveDraft";
import { SeasonAnswer } from "./SeasonAnswer";
import { ClosedDayForm, SeasonForm } from "./SettingsForms";
import { toldWords } from "./words";

export interface PlanSheetProps {
  readonly settings: SeasonSettings;
  readonly closedDays: readonly ClosedDay[];
  readonly today: Day;
  readonly sowWeekdays: readonly number[];
  readonly varieties: readonly { readonly id: number; readonly name: string }[];
  readonly hasOrders: boolean;
  readonly job: Job | null;
  readonly draft: SeasonDraft | null;
}

/** From orders to a season: settings, one press, what it would change, and taking it. */
export function PlanSheet(props: PlanSheetProps) {
  const { settings, closedDays, today, sowWeekdays, varieties, hasOrders, draft } = props;
  const units = useUnits();
  const job = useJob(props.job);
  const ask = useCommand(askSeason, { undo: false });
  const end = useCommand(endJob, { undo: false });
  const [opened, setOpened] = useState<"settings" | "new-day" | ClosedDay | null>(null);
  const told = isAtWork(job) ? (job.progress as SeasonTold | null) : null;
  const close = () => setOpened(null);
  const leftOut = closedDays.filter(({ day }) => day >= today);
  return (
    <>
      {!hasOrders && (
        <Empty
          title="Nothing is ordered yet"
          example="For instance 20 heads of lettuce for the school kitchen every Tuesday. Enter what is wanted under Orders; the season is then planned from it."
        />
      )}
      <p className="max-w-4xl text-lg">
        Plan <b>{counted(settings.horizonDays, "day")}</b> ahead, sow on{" "}
        <b>{sowWeekdays.length === 7 ? "any day" : sowWeekdays.map((day) => WEEKDAYS[day - 1]).join(", ")}</b>, so that
        each batch gives its plants with a chance of <b>{percentText(settings.confidence)}</b>
        {settings.leastBatch > 1 && (
          <>
            {" "}
            and has at least <b>{counted(settings.leastBatch, "plant")}</b>
          </>
        )}
        {settings.hoursPerWeek !== null && (
          <>
            , in <b>{settings.hoursPerWeek} hours</b> a week
          </>
        )}
        .{" "}
        <Only right="plan">
          <button type="button" className="underline" onClick={() => setOpened("settings")}>
            Change the settings
          </button>
        </Only>
      </p>
      <p className="mt-1 text-soft">
        {leftOut.length === 0 ? "No days off and no market days left out" : "Left out: "}
        {leftOut.map((closed, at) => (
          <span key={closed.id}>
            {at > 0 && ", "}
            <button type="button" className="underline" onClick={() => setOpened(closed)}>
              {dayInWords(closed.day, "weekday")}
            </button>{" "}
            ({closed.kind === "off" ? "nobody works" : "no market"}
            {closed.note && `, ${closed.note}`})
          </span>
        ))}
        .{" "}
        <Only right="plan">
          <button type="button" className="underline" onClick={() => setOpened("new-day")}>
            Add a day
          </button>
        </Only>
      </p>
      <Only right="plan">
        <div className="no-print mt-3 flex flex-wrap items-center gap-3">
          {!isAtWork(job) && (
            <Button look="strong" data-key="n" disabled={ask.busy || !hasOrders} onClick={() => void ask.run({})}>
              {draft ? "Plan it again" : "Plan the season"}
            </Button>
          )}
          {isAtWork(job) && told?.value != null && (
            <Button look="strong" disabled={end.busy} onClick={() => void end.run({ id: job.id })}>
              Stop and keep this one
            </Button>
          )}
          <JobLine<SeasonTold> job={job} what="Planning the season" how={(said) => toldWords(said, units)} />
        </div>
      </Only>
      {told && told.batches.length > 0 && (
        <LiveDraft batches={told.batches} varieties={varieties} from={today} days={settings.horizonDays} />
      )}
      {!isAtWork(job) && draft && (
        <SeasonAnswer draft={draft} onTry={ask.busy ? null : (remedy) => void ask.run({ remedy })} />
      )}
      <Drawer open={opened === "settings"} onClose={close} title="How the season is planned">
        <SeasonForm settings={settings} onDone={close} />
      </Drawer>
      <Drawer open={opened !== null && opened !== "settings"} onClose={close} title="A day left out">
        {opened !== null && opened !== "settings" && (
          <ClosedDayForm closed={opened === "new-day" ? null : opened} today={today} onDone={close} />
        )}
      </Drawer>
    </>
  );
}
