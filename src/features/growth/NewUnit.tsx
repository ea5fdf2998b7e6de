"use client";
import { useState } from "react";
import { useFormContext } from "react-hook-form";
import { saveHarvestUnit } from "@/server/growth/actions";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { useCommand } from "@/features/frame/useCommand";

/** Adds a unit to the list that crops are sold by, and chooses it. */
export function NewUnit() {
  const { setValue } = useFormContext();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState("");
  const [divisible, setDivisible] = useState(false);
  const [problem, setProblem] = useState<string>();
  const { run, busy } = useCommand(saveHarvestUnit, { done: "Unit added" });
  if (!open)
    return (
      <Button look="quiet" onClick={() => setOpen(true)}>
        Add a unit
      </Button>
    );
  const add = async () => {
    const result = await run({ id: null, name, divisible });
    if (!result.ok) return setProblem(result.fields.name ?? result.message);
    setValue("unitId", result.value, { shouldDirty: true });
    setOpen(false);
    setName("");
    setProblem(undefined);
  };
  return (
    <div className="grid items-end gap-3 border-l-[6px] border-rule pl-3 sm:grid-cols-2">
      <Field label="Name of the unit" hint="heads, bunches, kg" error={problem}>
        {(aria) => (
          <input
            {...aria}
            className="input"
            value={name}
            maxLength={30}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => {
              // The form around this one is not meant.
              if (event.key !== "Enter") return;
              event.preventDefault();
              void add();
            }}
            autoFocus
          />
        )}
      </Field>
      <label className="flex min-h-11 items-center gap-3 font-bold">
        <input
          type="checkbox"
          className="size-6 accent-water"
          checked={divisible}
          onChange={(event) => setDivisible(event.target.checked)}
        />
        Can be given in parts, like 0.9 kg
      </label>
      <div className="flex gap-3">
        <Button disabled={busy || name.trim() === ""} onClick={() => void add()}>
          Add the unit
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
