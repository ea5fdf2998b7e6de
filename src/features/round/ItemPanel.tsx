"use client";
import { ArrowLeft } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { CAUTIONS } from "@/core/feed/cautions";
import type { RoundItem } from "@/core/round/types";
import { skipItem, tickItem, undoEntry } from "@/server/round/actions";
import type { ReadingView } from "@/server/round/readingView";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Field } from "@/ui/Field";
import { PrintButton } from "@/ui/PrintButton";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { SlipSteps } from "@/ui/SlipSteps";
import { Quantity, useUnits } from "@/ui/units";
import { useCommand } from "@/ui/useCommand";
import { ReadingForm } from "./ReadingForm";
import { StoreForm } from "./StoreForm";
import { whoMay } from "@/core/people/rights";
import { useDraft } from "@/ui/drafts";
import { useMay } from "@/ui/who";
import { Why } from "@/ui/Why";
import { HOW_AMOUNT, HOW_FIGURE } from "./howItems";

interface StoreFacts {
  readonly id: number;
  readonly name: string;
  readonly capacityL: number;
  readonly storedL: number;
}

/** The item in hand: its figure, its amounts in order, its caution, and the ways to settle it. */
export function ItemPanel({
  item,
  tank,
  store,
}: {
  item: RoundItem;
  tank: ReadingView | null;
  store: StoreFacts | null;
}) {
  const right = item.kind === "mix" || item.kind === "top-up" ? "dose" : "log";
  const maySettle = useMay(right);
  return (
    <PanelFrame title={item.kind === "reading" && tank ? `${tank.name} tank` : item.title} detail={item.detail}>
      {item.kind === "reading" && tank && maySettle ? (
        <ReadingForm tank={tank} />
      ) : item.kind === "store" && store && maySettle ? (
        <StoreForm store={store} />
      ) : (
        <>
          {item.figure && (
            <p className="sign my-3 text-5xl [&_small]:text-2xl [&_small]:text-soft">
              <Why label={item.title} how={HOW_FIGURE[item.kind] ?? item.detail} inputs={[["here", item.detail]]}>
                <Quantity {...item.figure} />
              </Why>
            </p>
          )}
          {item.amounts.length > 0 && (
            <SlipSteps steps={item.amounts.map((amount) => ({ title: amount.name, amount, how: HOW_AMOUNT }))} />
          )}
        </>
      )}
      <div className="mt-4 space-y-2">
        {item.cautions.map((key) => (
          <CautionNote key={key} {...CAUTIONS[key]} />
        ))}
      </div>
      {item.kind !== "reading" && item.kind !== "store" && maySettle && <Settle item={item} />}
      {(item.kind === "reading" || item.kind === "store") && maySettle && <PutOff item={item} />}
      {!maySettle && <p className="mt-4 border-t border-rule pt-3 text-soft">{whoMay(right)} does this.</p>}
    </PanelFrame>
  );
}

export function PanelFrame({ title, detail, children }: { title: string; detail: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded border-2 border-ink bg-sheet p-5 lg:sticky lg:top-5 print:border">
      <Link href="/round" className="no-print mb-2 inline-flex min-h-11 items-center gap-2 lg:hidden">
        <ArrowLeft aria-hidden className="size-5" /> Back to the walk
      </Link>
      <h2 className="text-3xl">{title}</h2>
      <p className="mt-1 text-soft">{detail}</p>
      {children}
    </section>
  );
}

interface Settling {
  readonly differs: boolean;
  readonly actual: QuantityValue;
  readonly note: string;
}

function Settle({ item }: { item: RoundItem }) {
  const router = useRouter();
  const units = useUnits();
  const [{ differs, actual, note }, set, forget] = useDraft<Settling>(`settle:${item.key}`, {
    differs: false,
    actual: item.figure?.value ?? null,
    note: "",
  });
  const change = (next: Partial<Settling>) => set((all) => ({ ...all, ...next }));
  const { run, busy } = useCommand(tickItem, {
    done: `Done: ${item.title}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const settle = async (value: number | null) => {
    const result = await run({ key: item.key, actual: value, note });
    if (!result.ok) return;
    forget();
    router.push("/round", { scroll: false });
  };
  const problem =
    differs && item.figure ? quantityProblem(actual, "Really done", item.figure.dimension, units) : undefined;
  return (
    <div className="no-print mt-5 border-t border-rule pt-4">
      {differs ? (
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (!problem) void settle(typeof actual === "number" ? actual : null);
          }}
        >
          {item.figure && (
            <Field
              label={`Really done${item.figure.word ? `, ${item.figure.word}` : ""}`}
              error={actual !== item.figure.value ? problem : undefined}
            >
              {(aria) => (
                <QuantityInput
                  {...aria}
                  value={actual}
                  onValue={(value) => change({ actual: value })}
                  dimension={item.figure!.dimension}
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
              Log it so
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
            Done as said
          </Button>
          <Button onClick={() => change({ differs: true })}>Did it differently</Button>
          <PutOff item={item} />
          {item.amounts.length > 0 && <PrintButton label="Print slip" part="slip" />}
        </div>
      )}
    </div>
  );
}

function PutOff({ item }: { item: RoundItem }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [reason, setReason, forget] = useDraft(`put-off:${item.key}`, "");
  const { run, busy } = useCommand(skipItem, {
    done: `Put off: ${item.title}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  if (!open)
    return (
      <Button look="quiet" onClick={() => setOpen(true)}>
        Not today
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
      <Field label="Why not today?" hint="It comes back tomorrow, a day older.">
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
        Put off
      </Button>
    </form>
  );
}
