"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { countedGermination } from "@/core/growth/germination";
import type { RoundTask } from "@/core/round/types";
import { formatNumber } from "@/core/units/format";
import { undoEntry } from "@/server/round/actions";
import { countSeedlings } from "@/server/round/seedlings";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useDraft } from "@/features/frame/drafts";
import { useCommand } from "@/features/frame/useCommand";

const STEPS = [1, 5, 10] as const;

interface Counting {
  readonly of: QuantityValue;
  readonly up: number;
}

/** A pad of big buttons to count seedlings with one hand. */
export function SeedlingsForm({ task }: { readonly task: Extract<RoundTask, { readonly kind: "count-seedlings" }> }) {
  const router = useRouter();
  const [{ of, up }, set, forget] = useDraft<Counting>(`seedlings:${task.batchId}`, { of: task.seeds, up: 0 });
  const [errors, setErrors] = useState<{ readonly of?: string; readonly up?: string }>({});
  const { run, busy } = useCommand(countSeedlings, {
    done: `Counted: ${task.variety}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const total = typeof of === "number" && Number.isInteger(of) && of >= 1 && of <= task.seeds ? of : null;
  const ofError =
    total === null ? `A whole number from 1 to ${formatNumber(task.seeds)}, as many as were sown` : undefined;
  const change = (by: number) =>
    set((all) => ({ ...all, up: Math.max(0, Math.min(total ?? task.seeds, all.up + by)) }));
  const share = total === null || up > total ? null : countedGermination(up, total, 95);
  return (
    <form
      className="mt-4 space-y-4"
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        if (total === null) return;
        const result = await run({ batchId: task.batchId, of: total, up });
        if (result.ok) {
          forget();
          router.push("/round", { scroll: false });
        } else setErrors({ of: result.fields.of, up: result.fields.up ?? result.message });
      }}
    >
      <p aria-live="polite">
        <span className="sign text-7xl">{formatNumber(up)}</span>
        <span className="text-soft"> up</span>
      </p>
      <div className="grid max-w-sm grid-cols-3 gap-2">
        {STEPS.map((step) => (
          <Button key={step} className="!min-h-16 !text-3xl" onClick={() => change(step)}>
            +{step}
          </Button>
        ))}
        {STEPS.map((step) => (
          <Button
            key={step}
            look="quiet"
            className="!min-h-12 !text-xl"
            disabled={up < step}
            onClick={() => change(-step)}
          >
            −{step}
          </Button>
        ))}
      </div>
      <Field label="Of so many seeds" error={ofError ?? errors.of}>
        {(aria) => (
          <QuantityInput
            {...aria}
            dimension="count"
            value={of}
            onValue={(value) => set((all) => ({ ...all, of: value }))}
          />
        )}
      </Field>
      {share && up > 0 && (
        <p>
          {Math.round(share.estimate * 100)} in 100 came up; of many such sowings {Math.round(share.low * 100)} to{" "}
          {Math.round(share.high * 100)}.
        </p>
      )}
      {errors.up && (
        <p role="alert" className="font-bold text-alarm">
          {errors.up}
        </p>
      )}
      <Button look="go" type="submit" disabled={busy || total === null}>
        Save the count
      </Button>
    </form>
  );
}
