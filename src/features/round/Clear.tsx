"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { formatNumber } from "@/core/units/format";
import type { RoundItem } from "@/core/round/types";
import type { WashTask } from "./settling";
import { taskTitle } from "./words";
import { tickItem, undoEntry } from "@/server/round/actions";
import { Button } from "@/ui/Button";
import { useDraft } from "@/features/frame/drafts";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";

const NAMES = { picked: "Picked", thrownAway: "Thrown away" } as const;
type Name = keyof typeof NAMES;

/** Clearing a line on which units were left: what was picked of them and what was thrown away. */
export function Clear({ item, task }: { item: RoundItem; task: WashTask }) {
  const router = useRouter();
  const units = useUnits();
  const { units: left, unit } = task.unitsLeft!;
  const [values, setValues, forget] = useDraft<Record<Name, QuantityValue>>(`clear:${item.key}`, {
    picked: 0,
    thrownAway: left,
  });
  const [errors, setErrors] = useState<Readonly<Record<string, string | undefined>>>({});
  const { run, busy } = useCommand(tickItem, {
    done: `Done: ${taskTitle(task)}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const clear = async () => {
    const problems = (Object.keys(NAMES) as Name[]).flatMap((name) => {
      const problem = quantityProblem(values[name], NAMES[name], "ratio", units);
      return problem ? [[name, problem] as const] : [];
    });
    setErrors(Object.fromEntries(problems));
    if (problems.length > 0) return;
    const result = await run({ key: item.key, actual: null, note: "", ...values });
    if (!result.ok) return setErrors(result.fields);
    forget();
    router.push("/round", { scroll: false });
  };
  return (
    <form
      noValidate
      className="no-print mt-5 space-y-3 border-t border-rule pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        void clear();
      }}
    >
      <p>
        {formatNumber(left, 1)} {unit.name} of this line were never picked. What became of them?
      </p>
      <div className="grid grid-cols-2 gap-4">
        {(Object.keys(NAMES) as Name[]).map((name) => (
          <Field key={name} label={`${NAMES[name]}, ${unit.name}`} error={errors[name]}>
            {(aria) => (
              <QuantityInput
                {...aria}
                dimension="ratio"
                value={values[name]}
                onValue={(value) => setValues((all) => ({ ...all, [name]: value }))}
              />
            )}
          </Field>
        ))}
      </div>
      <Button look="go" type="submit" disabled={busy}>
        Cleared and washed
      </Button>
    </form>
  );
}
