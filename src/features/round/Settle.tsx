"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { RoundItem } from "@/core/round/types";
import type { Day } from "@/core/units/day";
import { skipItem, tickItem, undoEntry } from "@/server/round/actions";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { PrintButton } from "@/ui/PrintButton";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { useDraft } from "@/features/frame/drafts";
import { useCommand } from "@/features/frame/useCommand";
import { FoundReady } from "./FoundReady";
import { chosenLots, LotChoice } from "./LotChoice";
import { taskFigure, taskTitle } from "./words";

interface Settling {
  readonly differs: boolean;
  readonly actual: QuantityValue;
  readonly note: string;
  /** Of what is moved or picked: the day it was found ready, where somebody looked. */
  readonly readyOn?: Day | null;
  /** The bag that each salt came from, by its id, where it was chosen. */
  readonly lots?: Readonly<Record<number, string>>;
}

/** Finishes an item: as planned, differently, or not today. */
export function Settle({ item }: { item: RoundItem }) {
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

/** Puts an item off until tomorrow, with the reason. */
export function Skip({ item }: { item: RoundItem }) {
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
