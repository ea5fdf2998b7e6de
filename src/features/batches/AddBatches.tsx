"use client";
import { useState } from "react";
import { cellsFor, coverOrders, type Cover } from "@/core/batches/coverOrders";
import type { PlanInput, PlanVariety } from "@/core/batches/types";
import { sowDayFor } from "@/core/growth/sowDay";
import { stageBoundaries } from "@/core/growth/stageDays";
import { dayInWords, type Day } from "@/core/units/day";
import { addBatches } from "@/server/batches/actions";
import type { OrderRow } from "@/server/batches/queries";
import { Button } from "@/ui/Button";
import { DayInput } from "@/ui/DayInput";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useCommand } from "@/ui/useCommand";
import { useDraft } from "@/ui/drafts";

interface Draft {
  readonly varietyId: number;
  readonly sowDay: Day;
  readonly readyDay: Day;
  readonly cells: number;
  readonly targetPlants: number;
}

type Mode = "one" | "series" | "cover";
const MODES: readonly (readonly [Mode, string])[] = [
  ["cover", "Cover the orders"],
  ["one", "One batch"],
  ["series", "A series"],
];
const CONFIDENCE = 0.9;
const MOST_IN_SERIES = 104;
/** What was picked in these days is not there any more; batches hold no longer. */
const SERVED_DAYS = 28;

export interface AddBatchesProps {
  /** Variety to begin with. */
  readonly first: number | null;
  readonly input: PlanInput;
  readonly orders: readonly OrderRow[];
  readonly sowWeekdays: readonly number[];
  readonly onDone: () => void;
}

/** Three ways to plan: what the orders need, one batch from either end, or a series. What would be added is shown first. */
export function AddBatches({ first, input, orders, sowWeekdays, onDone }: AddBatchesProps) {
  const begin = (input.varieties.find(({ id }) => id === first) ?? input.varieties[0]!).id;
  const [{ mode, varietyId }, set, forget] = useDraft<{ mode: Mode; varietyId: number }>(`add-batches:${first ?? ""}`, {
    mode: "cover",
    varietyId: begin,
  });
  const done = () => {
    forget();
    onDone();
  };
  const variety = input.varieties.find((candidate) => candidate.id === varietyId) ?? input.varieties[0]!;
  return (
    <div className="space-y-4">
      <div role="radiogroup" aria-label="What to add" className="flex flex-wrap gap-2">
        {MODES.map(([value, words]) => (
          <Button
            key={value}
            role="radio"
            aria-checked={mode === value}
            look={mode === value ? "strong" : "plain"}
            onClick={() => set((all) => ({ ...all, mode: value }))}
          >
            {words}
          </Button>
        ))}
      </div>
      <Field label="Variety">
        {(aria) => (
          <select
            {...aria}
            className="input"
            value={varietyId}
            onChange={(event) => set((all) => ({ ...all, varietyId: Number(event.target.value) }))}
          >
            {input.varieties.map((candidate) => (
              <option key={candidate.id} value={candidate.id}>
                {candidate.name}
              </option>
            ))}
          </select>
        )}
      </Field>
      {mode === "cover" ? (
        <CoverOrders
          key={varietyId}
          variety={variety}
          input={input}
          orders={orders}
          sowWeekdays={sowWeekdays}
          onDone={done}
        />
      ) : (
        <ByHand
          key={`${mode}-${varietyId}`}
          variety={variety}
          today={input.today}
          sowWeekdays={sowWeekdays}
          series={mode === "series"}
          onDone={done}
        />
      )}
    </div>
  );
}

function CoverOrders({
  variety,
  input,
  orders,
  sowWeekdays,
  onDone,
}: Omit<AddBatchesProps, "input" | "first"> & { variety: PlanVariety; input: PlanInput }) {
  const own = orders.filter((order) => order.varietyId === variety.id && order.to >= input.today);
  const [until, setUntil] = useState<Day | null>(Math.min(input.to - 1, input.today + 120));
  const cover =
    until === null
      ? null
      : tryCover({
          variety,
          orders: own,
          batches: input.batches.filter((batch) => batch.varietyId === variety.id),
          today: input.today,
          from: input.today - SERVED_DAYS,
          to: until + 1,
          sowWeekdays,
          confidence: CONFIDENCE,
        });
  if (own.length === 0) return <p>There is no order for {variety.name} ahead. Enter one under Orders first.</p>;
  return (
    <>
      <Field label="Orders until" error={until === null ? "Choose a day" : undefined}>
        {(aria) => <DayInput {...aria} value={until} onValue={setUntil} />}
      </Field>
      {typeof cover === "string" && (
        <p role="alert" className="font-bold text-alarm">
          {cover}
        </p>
      )}
      {cover && typeof cover !== "string" && (
        <>
          {cover.tooLate.length > 0 && (
            <p className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
              Too late to sow for {cover.tooLate.length} market day{cover.tooLate.length === 1 ? "" : "s"}, the last{" "}
              {dayInWords(cover.tooLate.at(-1)!.day, "weekday")}: {variety.name} sown today is ready later.
            </p>
          )}
          {cover.batches.length === 0 ? (
            <p className="border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
              What stands and is planned already meets these orders.
            </p>
          ) : (
            <Drafts
              drafts={cover.batches.map((batch) => ({ ...batch, varietyId: variety.id }))}
              variety={variety}
              onDone={onDone}
            />
          )}
        </>
      )}
    </>
  );
}

function tryCover(wish: Parameters<typeof coverOrders>[0]): Cover | string {
  try {
    return coverOrders(wish);
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

interface ByHandDraft {
  readonly from: "wanted" | "sow";
  readonly day: Day | null;
  readonly plants: QuantityValue;
  readonly every: QuantityValue;
  readonly times: QuantityValue;
}

function ByHand({
  variety,
  today,
  sowWeekdays,
  series,
  onDone,
}: {
  variety: PlanVariety;
  today: Day;
  sowWeekdays: readonly number[];
  series: boolean;
  onDone: () => void;
}) {
  const [{ from, day, plants, every, times }, set, forget] = useDraft<ByHandDraft>(`add-by-hand:${variety.id}`, {
    from: "wanted",
    day: today + 60,
    plants: 40,
    every: 7,
    times: 6,
  });
  const change = (next: Partial<ByHandDraft>) => set((all) => ({ ...all, ...next }));
  const isCount = (value: QuantityValue, most: number): value is number =>
    typeof value === "number" && Number.isInteger(value) && value >= 1 && value <= most;
  const count = !series ? 1 : isCount(times, MOST_IN_SERIES) ? times : 0;
  const step = isCount(every, 365) ? every : 0;
  const stages = variety.stages.map((stage) => stage.daysByMonth);
  const drafts: Draft[] =
    day === null || !isCount(plants, 100_000) || count === 0 || (series && step === 0)
      ? []
      : Array.from({ length: count }, (_, index) => {
          const on = day + index * step;
          const sowDay = from === "wanted" ? sowDayFor(on, stages, sowWeekdays).sowDay : on;
          return {
            varietyId: variety.id,
            sowDay,
            readyDay: stageBoundaries(sowDay, stages).at(-1)!,
            targetPlants: plants,
            cells: cellsFor(variety, plants, CONFIDENCE),
          };
        });
  return (
    <>
      <Field label={series ? "The first from" : "From"}>
        {(aria) => (
          <select
            {...aria}
            className="input"
            value={from}
            onChange={(event) => change({ from: event.target.value as typeof from })}
          >
            <option value="wanted">the day it is wanted, backwards</option>
            <option value="sow">the day it is sown, forwards</option>
          </select>
        )}
      </Field>
      <Field label={from === "wanted" ? "Wanted on" : "Sown on"} error={day === null ? "Choose a day" : undefined}>
        {(aria) => <DayInput {...aria} value={day} onValue={(next) => change({ day: next })} />}
      </Field>
      <Field
        label="Plants wanted at the end"
        error={isCount(plants, 100_000) ? undefined : "A whole number from 1 to 100 000"}
      >
        {(aria) => (
          <QuantityInput {...aria} dimension="count" value={plants} onValue={(next) => change({ plants: next })} />
        )}
      </Field>
      {series && (
        <div className="grid grid-cols-2 gap-3">
          <Field label="Every" error={isCount(every, 365) ? undefined : "Whole days from 1 to 365"}>
            {(aria) => (
              <QuantityInput {...aria} dimension="days" value={every} onValue={(next) => change({ every: next })} />
            )}
          </Field>
          <Field
            label="Times"
            error={isCount(times, MOST_IN_SERIES) ? undefined : `A whole number from 1 to ${MOST_IN_SERIES}`}
          >
            {(aria) => (
              <QuantityInput {...aria} dimension="count" value={times} onValue={(next) => change({ times: next })} />
            )}
          </Field>
        </div>
      )}
      {drafts.some((draft) => draft.sowDay < today) && (
        <p className="border-l-[6px] border-feed bg-feed-pale px-3 py-2">
          A sow day before today is taken as sown then: its days become facts.
        </p>
      )}
      {drafts.length > 0 && (
        <Drafts
          drafts={drafts}
          variety={variety}
          onDone={() => {
            forget();
            onDone();
          }}
        />
      )}
    </>
  );
}

function Drafts({ drafts, variety, onDone }: { drafts: readonly Draft[]; variety: PlanVariety; onDone: () => void }) {
  const words = drafts.length === 1 ? "One batch" : `${drafts.length} batches`;
  const { run, busy } = useCommand(addBatches, {
    done: `${words} of ${variety.name} added`,
  });
  return (
    <>
      <div className="max-h-72 overflow-y-auto" tabIndex={0} role="region" aria-label="What would be added">
        <table className="w-full">
          <thead className="text-left text-sm text-soft">
            <tr>
              <th className="font-normal">sow</th>
              <th className="text-right font-normal">cells</th>
              <th className="text-right font-normal">plants</th>
              <th className="pl-4 font-normal">ready</th>
            </tr>
          </thead>
          <tbody>
            {drafts.map((draft) => (
              <tr key={draft.sowDay + draft.readyDay * 1e6} className="border-t border-rule">
                <td className="sign py-1 text-lg">{dayInWords(draft.sowDay, "weekday")}</td>
                <td className="sign text-right text-lg">{draft.cells}</td>
                <td className="sign text-right text-lg">{draft.targetPlants}</td>
                <td className="pl-4">{dayInWords(draft.readyDay, "weekday")}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-soft">Cells are sown so that each batch reaches its plants nine times in ten.</p>
      <Button
        look="strong"
        disabled={busy}
        onClick={async () => {
          const result = await run({
            batches: drafts.map(({ varietyId, sowDay, cells, targetPlants }) => ({
              varietyId,
              sowDay,
              cells,
              targetPlants,
            })),
          });
          if (result.ok) onDone();
        }}
      >
        Add {words.toLowerCase()}
      </Button>
    </>
  );
}
