"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { CAUTIONS } from "@/core/feed/cautions";
import type { Amount, RoundItem } from "@/core/round/types";
import { skipItem, tickItem, undoEntry } from "@/server/round/actions";
import type { ReadingView } from "@/server/round/readingView";
import { Button, buttonClass } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Field } from "@/ui/Field";
import { PageLink } from "@/ui/PageLink";
import { PrintButton } from "@/ui/PrintButton";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { SlipSteps } from "@/ui/SlipSteps";
import { Quantity, useUnits } from "@/ui/units";
import type { Day } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import { inHand, schoolWords } from "@/features/feed/words";
import { useCommand } from "@/features/frame/useCommand";
import { ReadingForm } from "./ReadingForm";
import { SeedlingsForm } from "./SeedlingsForm";
import { StoreForm } from "./StoreForm";
import { whoMay } from "@/core/people/rights";
import { useDraft } from "@/features/frame/drafts";
import { dilutionWords, useScale } from "@/features/frame/scale";
import type { UnitPreferences } from "@/core/units/dimensions";
import { useMay } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { Clear } from "./Clear";
import { FoundReady } from "./FoundReady";
import { chosenLots, LotChoice } from "./LotChoice";
import { taskDetail, taskFigure, taskTitle } from "./words";
import { PanelFrame } from "./PanelFrame";
import { Slip } from "./Slip";
import { HOW_AMOUNT, HOW_FIGURE } from "./howItems";
import { asksFirst, hasUnitsLeft, rightOf } from "./settling";

interface StoreFacts {
  readonly id: number;
  readonly name: string;
  readonly capacityL: number;
  readonly storedL: number;
}

/** The chosen item: its figure, its amounts in order, its caution, and the buttons to finish it. */
export function ItemPanel({
  item,
  tank,
  store,
}: {
  item: RoundItem;
  tank: ReadingView | null;
  store: StoreFacts | null;
}) {
  const units = useUnits();
  const { stepG } = useScale();
  const { task } = item;
  const title = taskTitle(task);
  const detail = taskDetail(task, units);
  const figure = taskFigure(task);
  const right = rightOf(task.kind);
  const isReading = task.kind === "reading" || task.kind === "read-again";
  const maySettle = useMay(right);
  return (
    <PanelFrame title={isReading && tank ? tank.tankName : title} detail={detail}>
      {isReading && tank && maySettle ? (
        <ReadingForm tank={tank} />
      ) : task.kind === "bring-back" && tank?.slip ? (
        <Slip entryId={task.entryId} tank={tank} />
      ) : task.kind === "count-seedlings" && maySettle ? (
        <SeedlingsForm task={task} />
      ) : task.kind === "store" && store && maySettle ? (
        <StoreForm store={store} />
      ) : (
        <>
          {figure && (
            <p className="sign my-3 text-5xl [&_small]:text-2xl [&_small]:text-soft">
              <Why label={title} how={HOW_FIGURE[task.kind] ?? detail} inputs={[["here", detail]]}>
                <Quantity {...figure} />
              </Why>
            </p>
          )}
          {task.kind === "calibrate" && maySettle && (
            <PageLink href={`/feed/injector?loop=${task.loopId}`} className={`mt-3 ${buttonClass("go")}`}>
              Calibrate it
            </PageLink>
          )}
          {item.amounts.length > 0 && tank?.strength && (
            <p className="text-soft">
              Feed of {quantityText(tank.strength.ecMsPerCm, "ec", units)}: {schoolWords(tank.strength.school)}.
            </p>
          )}
          {item.amounts.length > 0 && (
            <SlipSteps
              steps={item.amounts.map((amount) => ({
                title: amount.name,
                amount: inHand(amount),
                how: HOW_AMOUNT,
                ...noteOf(amount, stepG, units),
              }))}
            />
          )}
        </>
      )}
      <div className="mt-4 space-y-2">
        {item.cautions.map((key) => (
          <CautionNote key={key} {...CAUTIONS[key]} />
        ))}
      </div>
      {maySettle &&
        (asksFirst(item) ? (
          <Skip item={item} />
        ) : task.kind === "wash" && hasUnitsLeft(task) ? (
          <Clear item={item} task={task} />
        ) : (
          <Settle item={item} />
        ))}
      {!maySettle && <p className="mt-4 border-t border-rule pt-3 text-soft">{whoMay(right)} does this.</p>}
    </PanelFrame>
  );
}

/** Out of which bag, and how less is got than the scale can weigh. */
function noteOf(
  { of, value, litres, lots }: Amount,
  stepG: number,
  units: UnitPreferences,
): { readonly note?: string } {
  const notes = [
    ...(lots?.length === 1 ? [`lot ${lots[0]}`] : []),
    ...(of.kind === "salt" && litres === undefined
      ? [dilutionWords(value, stepG, units)].filter((one) => one !== null)
      : []),
  ];
  return notes.length === 0 ? {} : { note: notes.join("; ") };
}

interface Settling {
  readonly differs: boolean;
  readonly actual: QuantityValue;
  readonly note: string;
  /** Of what is moved or picked: the day it was found ready, where somebody looked. */
  readonly readyOn?: Day | null;
  /** The bag that each salt came from, by its id, where it was chosen. */
  readonly lots?: Readonly<Record<number, string>>;
}

function Settle({ item }: { item: RoundItem }) {
  const router = useRouter();
  const units = useUnits();
  const title = taskTitle(item.task);
  const figure = taskFigure(item.task);
  const [{ differs, actual, note, readyOn = null, lots = {} }, set, forget] = useDraft<Settling>(`settle:${item.key}`, {
    differs: false,
    actual: figure?.value ?? null,
    note: "",
  });
  const change = (next: Partial<Settling>) => set((all) => ({ ...all, ...next }));
  const { run, busy } = useCommand(tickItem, {
    done: `Done: ${title}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const settle = async (value: number | null) => {
    const result = await run({
      key: item.key,
      actual: value,
      note,
      ...chosenLots(lots),
      ...(readyOn !== null && { readyOn }),
    });
    if (!result.ok) return;
    forget();
    router.push("/round", { scroll: false });
  };
  const problem = differs && figure ? quantityProblem(actual, "Actually done", figure.dimension, units) : undefined;
  return (
    <div className="no-print mt-5 border-t border-rule pt-4">
      <LotChoice
        amounts={item.amounts}
        lots={lots}
        onLot={(saltId, lot) => change({ lots: { ...lots, [saltId]: lot } })}
      />
      {(item.task.kind === "move" || item.task.kind === "pick") && (
        <FoundReady readyOn={readyOn} onReady={(day) => change({ readyOn: day })} />
      )}
      {differs ? (
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (!problem) void settle(typeof actual === "number" ? actual : null);
          }}
        >
          {figure && (
            <Field
              label={`Actually done${figure.word ? `, ${figure.word}` : ""}`}
              error={actual !== figure.value ? problem : undefined}
            >
              {(aria) => (
                <QuantityInput
                  {...aria}
                  value={actual}
                  onValue={(value) => change({ actual: value })}
                  dimension={figure.dimension}
                  autoFocus
                />
              )}
            </Field>
          )}
          <Field label="Note">
            {(aria) => (
              <textarea
                {...aria}
                className="input"
                rows={2}
                maxLength={500}
                value={note}
                onChange={(event) => change({ note: event.target.value })}
              />
            )}
          </Field>
          <div className="flex flex-wrap gap-3">
            <Button look="go" type="submit" disabled={busy}>
              Log it
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                forget();
                change({ differs: false });
              }}
            >
              Back
            </Button>
          </div>
        </form>
      ) : (
        <div className="flex flex-wrap gap-3">
          <Button look="go" disabled={busy} onClick={() => void settle(null)}>
            Done as planned
          </Button>
          <Button onClick={() => change({ differs: true })}>Done differently</Button>
          <Skip item={item} />
          {item.amounts.length > 0 && <PrintButton label="Print slip" part="slip" />}
        </div>
      )}
    </div>
  );
}

function Skip({ item }: { item: RoundItem }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [reason, setReason, forget] = useDraft(`skip:${item.key}`, "");
  const { run, busy } = useCommand(skipItem, {
    done: `Skipped: ${taskTitle(item.task)}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  if (!open)
    return (
      <Button look="quiet" onClick={() => setOpen(true)}>
        {item.task.kind === "bring-back" ? "Not done, because …" : "Skip until tomorrow"}
      </Button>
    );
  return (
    <form
      className="mt-3 w-full space-y-3"
      onSubmit={async (event) => {
        event.preventDefault();
        const result = await run({ key: item.key, reason });
        if (!result.ok) return;
        forget();
        router.push("/round", { scroll: false });
      }}
    >
      <Field
        label={item.task.kind === "bring-back" ? "Why not?" : "Why not today?"}
        hint={
          item.task.kind === "bring-back"
            ? "It counts as dealt with until the next reading."
            : "It comes back tomorrow, a day older."
        }
      >
        {(aria) => (
          <input
            {...aria}
            className="input"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            required
            maxLength={300}
            autoFocus
          />
        )}
      </Field>
      <Button type="submit" disabled={busy || reason.trim() === ""}>
        {item.task.kind === "bring-back" ? "Save the reason" : "Skip"}
      </Button>
    </form>
  );
}
