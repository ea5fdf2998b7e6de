"use client";
import { useState } from "react";
import type { ClosedDay, SeasonSettings } from "@/core/garden/garden";
import { dayInWords, WEEKDAYS, type Day } from "@/core/units/day";
import { counted, percentText, quantityText } from "@/core/units/format";
import type { SeasonTold } from "@/core/garden/season/told";
import type { SeasonDraft } from "@/server/batches/seasonDraft";
import { askSeason } from "@/server/batches/season";
import { endJob } from "@/server/jobs/actions";
import type { Job } from "@/server/jobs/job";
import { isAtWork, JobLine } from "@/features/frame/JobLine";
import { useJob } from "@/features/frame/jobEvents";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button, buttonClass } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { PageLink } from "@/ui/PageLink";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { DraftList } from "./DraftList";
import { LiveDraft } from "./LiveDraft";
import { ClosedDayForm, SeasonForm } from "./SettingsForms";
import { gapWords, toldWords } from "./words";

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

const HOW =
  "Every batch that could be sown is looked at: on every sowing day, for every market day that it could serve, with the sites of each growing area day by day, the water with what is stored, hours, and what stands already. The best there can be is worked out without whole plants; a plan is then looked for that comes near it, placed on real lines, and walked day by day once more.";

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
        {closedDays.filter(({ day }) => day >= today).length === 0
          ? "No days off and no market days left out"
          : "Left out: "}
        {closedDays
          .filter(({ day }) => day >= today)
          .map((closed, at) => (
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
      {!isAtWork(job) && draft && <Answer draft={draft} today={today} />}
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

  function Answer({ draft: found }: { draft: SeasonDraft; today: Day }) {
    const { answer, day, view, setId, conflicts } = found;
    return (
      <section aria-label="The planned season" className="mt-5 border-t-2 border-ink pt-3">
        <p className="text-xl">
          {answer.isUnchanged ? (
            <b>The plan as it is is as good as any: nothing changes.</b>
          ) : (
            <>
              Planned on {dayInWords(day)}: worth{" "}
              <Why label="What the season is worth" how={HOW}>
                <b className="sign text-2xl">{quantityText(answer.value, "money", units)}</b>
              </Why>
              , {gapWords(answer.value, answer.bound, units)}.
            </>
          )}
        </p>
        <Notes draft={found} />
        {view && setId !== null && (
          <>
            <p className="mt-2">
              Orders met: <b className="sign text-xl">{view.then.ordersMet}</b> of {view.then.ordersAhead}, as it is now{" "}
              {view.now.ordersMet}. Without a place: {view.then.leftOut}, now {view.now.leftOut}.{" "}
              {/* Loaded anew: from here on every sheet is the planned season's. */}
              <a href={`/batches?whatif=${setId}`} className={buttonClass("plain")}>
                Look at it on the season
              </a>
            </p>
            {conflicts > 0 && (
              <p className="mt-2 border-l-[6px] border-feed bg-feed-pale px-3 py-1.5">
                The garden has changed since in {counted(conflicts, "place")} that it touches.{" "}
                <PageLink href={`/batches/what-if?set=${setId}`} className="underline">
                  Settle them
                </PageLink>{" "}
                or plan it again.
              </p>
            )}
            <DraftList setId={setId} rows={view.rows} />
          </>
        )}
        {!view && !answer.isUnchanged && <p className="mt-2 text-soft">Nothing of it is left to take.</p>}
      </section>
    );
  }
}

/** What the answer leaves out or stands on. */
function Notes({ draft: { answer } }: { readonly draft: SeasonDraft }) {
  const lost = answer.roomLost.reduce((sum, { plants }) => sum + plants, 0);
  return (
    <ul className="mt-2 space-y-1">
      {answer.unpriced.length > 0 && (
        <li className="border-l-[6px] border-feed bg-feed-pale px-3 py-1">
          No price is told of {answer.unpriced.join(", ")}: a unit is counted as worth 1.{" "}
          <PageLink href="/growth" className="underline">
            Tell their prices
          </PageLink>
        </li>
      )}
      {answer.hopeless.length > 0 && (
        <li className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-1">
          {answer.hopeless.join(", ")}: no sowing gives what is ordered. Look at germination, survival and yield under
          Growth.
        </li>
      )}
      {answer.leftOut > 0 && (
        <li className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-1">
          {counted(answer.leftOut, "stay", "stays")} of batches found no place together and count as not fitting.
        </li>
      )}
      {lost > 0 && (
        <li className="text-soft">
          {counted(lost, "plant")} would fit by their number alone, but not together on lines: they were planned smaller
          or left out.
        </li>
      )}
    </ul>
  );
}
