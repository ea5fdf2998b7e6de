"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { suspectSlip, type MeterQuantity } from "@/core/units/slips";
import type { Dimension } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import { enterReading, undoEntry } from "@/server/round/actions";
import type { ReadingView } from "@/server/round/readingView";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/ui/useCommand";
import { TankDays } from "./TankDays";
import { useDraft } from "@/ui/drafts";

type Name = "ecMsPerCm" | "ph" | "waterC" | "levelL";
const FIELDS: readonly {
  readonly name: Name;
  readonly label: string;
  readonly dimension: Dimension;
  readonly slip?: MeterQuantity;
}[] = [
  { name: "ecMsPerCm", label: "EC", dimension: "ec", slip: "ec" },
  { name: "ph", label: "pH", dimension: "ph", slip: "ph" },
  { name: "waterC", label: "Water", dimension: "temperature", slip: "waterC" },
  { name: "levelL", label: "Level", dimension: "volume" },
];

const NOTHING = { ecMsPerCm: null, ph: null, waterC: null, levelL: null };

/** Takes the four figures of a tank; a likely slip of unit is asked about before anything is saved. */
export function ReadingForm({ tank }: { tank: ReadingView }) {
  const router = useRouter();
  const units = useUnits();
  const [values, setValues, forget] = useDraft<Record<Name, QuantityValue>>(`reading:${tank.loopId}`, NOTHING);
  const [errors, setErrors] = useState<Partial<Record<Name, string>>>({});
  const [sure, setSure] = useState<readonly Name[]>([]);
  const { run, busy } = useCommand(enterReading, {
    done: `${tank.name} tank read`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const set = (name: Name, value: QuantityValue) => {
    setValues((all) => ({ ...all, [name]: value }));
    setErrors((all) => ({ ...all, [name]: undefined }));
    setSure((all) => all.filter((other) => other !== name));
  };
  const question = (name: Name, slip?: MeterQuantity) => {
    const value = values[name];
    return slip && typeof value === "number" && !sure.includes(name) ? suspectSlip(slip, value) : undefined;
  };
  const save = async () => {
    const problems = Object.fromEntries(
      FIELDS.map(({ name, label, dimension }) => [name, quantityProblem(values[name], label, dimension, units)]).filter(
        ([, problem]) => problem,
      ),
    );
    setErrors(problems);
    if (Object.keys(problems).length > 0 || FIELDS.some(({ name, slip }) => question(name, slip))) return;
    const result = await run({ loopId: tank.loopId, ...values, sure: true });
    if (!result.ok) return setErrors(result.fields);
    forget();
    router.push(`/round?entry=${result.value}`, { scroll: false });
  };
  const band: Partial<Record<Name, string>> = {
    ...(tank.bands && {
      ecMsPerCm: `band ${quantityText(tank.bands.ecLow, "ec", units)} – ${quantityText(tank.bands.ecHigh, "ec", units)}`,
      ph: `band ${tank.bands.phLow} – ${tank.bands.phHigh}`,
    }),
    waterC: `best under ${quantityText(24, "temperature", units)}`,
    levelL: `works at ${quantityText(tank.workingL, "volume", units)}`,
  };
  return (
    <form
      className="mt-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="grid grid-cols-2 gap-x-4 gap-y-3">
        {FIELDS.map(({ name, label, dimension, slip }) => {
          const asked = question(name, slip);
          return (
            <div key={name}>
              <Field label={label} hint={band[name]} error={errors[name]}>
                {(aria) => (
                  <QuantityInput
                    {...aria}
                    className="sign !text-2xl"
                    value={values[name]}
                    dimension={dimension}
                    onValue={(value) => set(name, value)}
                  />
                )}
              </Field>
              {asked && (
                <div role="alert" className="mt-2 border-l-[6px] border-feed bg-feed-pale p-2 text-sm">
                  <p className="font-bold">{asked.question}</p>
                  <div className="mt-2 flex flex-wrap gap-2">
                    <Button look="strong" onClick={() => set(name, asked.likely)}>
                      Yes: {quantityText(asked.likely, dimension, units)}
                    </Button>
                    <Button onClick={() => setSure((all) => [...all, name])}>No, as typed</Button>
                  </div>
                </div>
              )}
            </div>
          );
        })}
      </div>
      {tank.noRecipe && (
        <p className="mt-3 text-sm text-soft">This tank has no recipe yet; the reading is kept, a slip needs one.</p>
      )}
      <div className="mt-4 flex flex-wrap gap-3">
        <Button look="go" type="submit" disabled={busy}>
          Save and work out
        </Button>
        {tank.meter && (
          <Button look="quiet" onClick={() => FIELDS.forEach(({ name }) => set(name, tank.meter![name]))}>
            Take the meter’s last
          </Button>
        )}
      </div>
      <TankDays tank={tank} />
    </form>
  );
}
