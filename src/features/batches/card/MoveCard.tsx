"use client";
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
import { Why } from "@/ui/Why";
/** A batch on another day: what that would cause, before it is moved. */
export function MoveCard({
  batch,
  view,
  input,
  days,
  onHold,
  onDone,
}: {
  readonly batch: BatchView;
  readonly view: SeasonView;
  readonly input: PlanInput;
  /** Days by which it is moved from its sow day. */
  readonly days: number;
  readonly onHold: (days: number) => void;
  readonly onDone: () => void;
}) {
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
