"use client";
import { X } from "lucide-react";
import { useDeferredValue, useMemo, useState } from "react";
import type { Plan } from "@/core/batches/plan";
import { workOutPlan } from "@/core/batches/plan";
import type { PlanInput } from "@/core/batches/types";
import { mendingSowDay, whatIfMove, type MoveConsequences } from "@/core/batches/whatIfMove";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { moveBatch } from "@/server/batches/actions";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { Button } from "@/ui/Button";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { PageLink } from "@/ui/PageLink";

export interface BatchCardProps {
  readonly batch: BatchView;
  readonly view: SeasonView;
  readonly input: PlanInput | null;
  /** Days by which the batch is moved from its sow day. */
  readonly days: number;
  readonly side: "left" | "right";
  readonly onHold: (days: number) => void;
  readonly onClose: () => void;
  readonly onChange: () => void;
}

/** The chosen batch: where it goes and when; while it is moved, what that would cause and which day would be better. */
export function BatchCard({ batch, view, input, days, side, onHold, onClose, onChange }: BatchCardProps) {
  const growingAreaName = (growingAreaId: number) =>
    view.growingAreas.find((growingArea) => growingArea.id === growingAreaId)?.name.toLowerCase() ?? "";
  return (
    <section
      aria-label={`${batch.variety} of ${dayInWords(batch.sowDay)}`}
      className={`absolute bottom-16 z-30 w-[22rem] max-w-full rounded border-2 border-ink bg-sheet p-4 shadow-lg ${side === "left" ? "left-32" : "right-2"}`}
    >
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-2xl">
          {batch.variety}, {dayInWords(batch.sowDay)}
        </h2>
        <button type="button" aria-label="Close" className="grid size-9 shrink-0 place-items-center" onClick={onClose}>
          <X aria-hidden className="size-5" />
        </button>
      </div>
      {days === 0 ? (
        <>
          <table className="mt-1 w-full text-sm">
            <tbody>
              {batch.steps.map((step) => (
                <tr key={step.name} className="border-t border-rule">
                  <th scope="row" className="py-1 text-left font-normal">
                    {growingAreaName(step.growingAreaId)}
                  </th>
                  <td className="text-right">
                    {dayInWords(step.from)} – {dayInWords(step.to)}
                  </td>
                  <td className="sign w-14 text-right text-lg">{step.plants}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-sm">
            Ready{" "}
            <Why
              label="Ready"
              how="From the day it is sown through its stages: each day counts as a share of the stage, by the length that the stage has in the month of that day. Stages that really began take the place of the plan."
            >
              {dayInWords(batch.readyDay)}
            </Why>
            ; orders take{" "}
            <Why
              label="What orders take"
              how="Each market day's orders are met from the batches that are ready then, the oldest first; a batch gives its plants × the yield of a plant."
            >
              {round(batch.unitsOrdered)} of {round(batch.unitsInAll)} {batch.unit}
            </Why>
            .
          </p>
          {batch.note && <p className="mt-1 text-sm text-soft">{batch.note}</p>}
          <PageLink href={`/people/history?batch=${batch.id}`} className="mt-1 inline-block min-h-8 text-sm underline">
            Who changed it
          </PageLink>
          <div className="mt-3 flex flex-wrap gap-2">
            {batch.begun ? (
              <p className="text-sm text-soft">Sown: its dates are fixed.</p>
            ) : (
              <Only right="plan">
                <Button onClick={() => onHold(-7)}>A week earlier</Button>
                <Button onClick={() => onHold(7)}>A week later</Button>
                <Button look="quiet" onClick={onChange}>
                  Edit or delete
                </Button>
              </Only>
            )}
          </div>
        </>
      ) : input === null ? (
        <p role="status">Loading the plan …</p>
      ) : (
        <HeldOver batch={batch} view={view} input={input} days={days} onHold={onHold} onDone={onClose} />
      )}
    </section>
  );
}

/** The consequences are shown before it is moved. */
function HeldOver({
  batch,
  view,
  input,
  days,
  onHold,
  onDone,
}: Pick<BatchCardProps, "batch" | "view" | "days" | "onHold"> & { input: PlanInput; onDone: () => void }) {
  const now = useMemo<Plan>(() => workOutPlan(input), [input]);
  // While a batch is dragged the card may be a frame late; the drag never is.
  const settled = useDeferredValue(days);
  const sowDay = batch.sowDay + settled;
  const held = useMemo(() => whatIfMove(input, now, batch.id, sowDay), [input, now, batch.id, sowDay]);
  const mend = useMemo(
    () => (held.breaks ? mendingSowDay(input, now, batch.id, sowDay) : null),
    [held, input, now, batch.id, sowDay],
  );
  const [clash, setClash] = useState<{ readonly by: string; readonly mine: number } | null>(null);
  const { run, busy } = useCommand(moveBatch, {
    done: `${batch.variety} moved`,
  });
  // The day that was seen when the drag began: another one by now is somebody else's.
  const [from] = useState(batch.sowDay);
  const move = async (day: number, seen = from) => {
    const result = await run({ id: batch.id, from: seen, sowDay: day });
    if (result.ok) return onDone();
    if (result.stale) setClash({ by: result.stale.by, mine: day });
  };
  if (clash)
    return (
      <div role="alert" className="mt-2">
        <p className="font-bold">{clash.by} changed this batch meanwhile.</p>
        <table className="mt-1 w-full">
          <tbody>
            <tr className="border-t border-rule">
              <th scope="row" className="py-1 text-left font-normal">
                yours
              </th>
              <td className="text-right">{dayInWords(clash.mine, "weekday")}</td>
            </tr>
            <tr className="border-t border-rule">
              <th scope="row" className="py-1 text-left font-normal">
                {clash.by}
              </th>
              <td className="text-right">{batch.sowDay === from ? "…" : dayInWords(batch.sowDay, "weekday")}</td>
            </tr>
          </tbody>
        </table>
        <div className="mt-3 flex flex-wrap gap-2">
          <Button
            look="strong"
            disabled={busy || batch.sowDay === from}
            onClick={() => void move(clash.mine, batch.sowDay)}
          >
            Keep mine
          </Button>
          <Button onClick={() => onHold(0)}>Keep theirs</Button>
        </div>
      </div>
    );
  return (
    <>
      <p className="mt-1">
        Sown <b>{dayInWords(batch.sowDay + days, "weekday")}</b>, {Math.abs(days)} day
        {Math.abs(days) === 1 ? "" : "s"} {days < 0 ? "earlier" : "later"}.
      </p>
      <div aria-live="polite">
        <ConsequenceWords held={held} view={view} input={input} />
        <Why
          label="What it would affect"
          how="The whole plan is worked out again with this batch on the other day and compared with the plan as it is: sites taken over capacity, and orders that get less."
        >
          <span className="text-sm text-soft underline">how it is worked out</span>
        </Why>
        {held.breaks && (
          <p className={`mt-2 ${mend ? "text-leaf" : "text-soft"}`}>
            {mend ? (
              <>
                <b>{dayInWords(mend.sowDay, "weekday")}</b> causes no shortage.
              </>
            ) : (
              "No other day within two weeks is better."
            )}
          </p>
        )}
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="strong" disabled={busy} onClick={() => void move(batch.sowDay + days)}>
          Move to {dayInWords(batch.sowDay + days)}
        </Button>
        {mend && (
          <Button disabled={busy} onClick={() => onHold(mend.sowDay - batch.sowDay)}>
            Try {dayInWords(mend.sowDay)}
          </Button>
        )}
        <Button look="quiet" onClick={() => onHold(0)}>
          Keep
        </Button>
      </div>
    </>
  );
}

const SHOWN_ORDERS = 3;

function ConsequenceWords({ held, view, input }: { held: MoveConsequences; view: SeasonView; input: PlanInput }) {
  const missed = held.orders.filter((order) => order.moreMissing > 0);
  const won = held.orders.length - missed.length;
  const nameOf = (varietyId: number) => input.varieties.find((variety) => variety.id === varietyId);
  if (!held.breaks && won === 0) return <p className="mt-2 font-bold text-leaf">It fits, and no order changes.</p>;
  return (
    <ul className="mt-2 space-y-1">
      {held.growingAreas.map((growingArea) => (
        <li key={growingArea.growingAreaId} className="text-alarm">
          {view.growingAreas.find((candidate) => candidate.id === growingArea.growingAreaId)?.name}:{" "}
          <b>{counted(growingArea.sitesOver, "site")} over</b> from {dayInWords(growingArea.firstDay)}
        </li>
      ))}
      {missed.slice(0, SHOWN_ORDERS).map((order) => (
        <li key={`${order.customerName}-${order.day}-${order.varietyId}`} className="text-alarm">
          {order.customerName}, {dayInWords(order.day)}:{" "}
          <b>
            {round(order.moreMissing)} {nameOf(order.varietyId)?.unit.name}
          </b>{" "}
          missing
        </li>
      ))}
      {missed.length > SHOWN_ORDERS && (
        <li className="text-alarm">and {counted(missed.length - SHOWN_ORDERS, "more order")}</li>
      )}
      {won > 0 && <li className="text-leaf">{won === 1 ? "1 order gets more" : `${won} orders get more`}</li>}
    </ul>
  );
}

function round(value: number): number {
  return Number(value.toFixed(1));
}
