"use client";
import { schoolWords } from "@/features/feed/words";
import { slipQuestion } from "./words";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { figuresOf, TANK_FIGURES, type TankFigure } from "@/core/feed/tankFigures";
import { WARM_WATER_C } from "@/core/feed/warmWater";
import { suspectScale, suspectSlip, type MeterQuantity } from "@/core/units/slips";
import { quantityText } from "@/core/units/format";
import { enterReading, undoEntry } from "@/server/round/actions";
import type { ReadingView } from "@/server/round/readingView";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { PageLink } from "@/ui/PageLink";
import { UnitsProvider, useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { CorrectedEc, ecAsRead, MeterChoice, useMeter } from "./MeterChoice";
import { TankDays } from "./TankDays";
import { useDraft } from "@/features/frame/drafts";

const NOTHING = figuresOf({});

/** Takes the figures of a tank, as many as were read; a likely slip of unit is asked about before anything is saved. */
export function ReadingForm({ tank }: { tank: ReadingView }) {
  const router = useRouter();
  const units = useUnits();
  const [values, setValues, forget] = useDraft<Record<TankFigure, QuantityValue>>(`reading:${tank.loopId}`, NOTHING);
  const [errors, setErrors] = useState<Partial<Record<TankFigure, string>>>({});
  const [sure, setSure] = useState<readonly TankFigure[]>([]);
  const { meter: readWith, choose: chooseMeter, units: meterUnits } = useMeter(tank.meters, units);
  const unitsOf = (name: TankFigure) => (name === "ecMsPerCm" ? meterUnits : units);
  const { run, busy } = useCommand(enterReading, {
    done: `${tank.tankName} read`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const set = (name: TankFigure, value: QuantityValue) => {
    setValues((all) => ({ ...all, [name]: value }));
    setErrors((all) => ({ ...all, [name]: undefined }));
    setSure((all) => all.filter((other) => other !== name));
  };
  const question = (name: TankFigure, slip?: MeterQuantity) => {
    const value = values[name];
    if (!slip || typeof value !== "number" || sure.includes(name)) return undefined;
    const scale = name === "ecMsPerCm" && tank.bands ? suspectScale(value, meterUnits.ec, tank.bands) : undefined;
    return suspectSlip(slip, value) ?? scale;
  };
  const save = async () => {
    const problems = Object.fromEntries(
      TANK_FIGURES.filter(({ name }) => values[name] !== null)
        .map(({ name, label, dimension }) => [name, quantityProblem(values[name], label, dimension, unitsOf(name))])
        .filter(([, problem]) => problem),
    );
    if (TANK_FIGURES.every(({ name }) => values[name] === null)) problems.ecMsPerCm = "Write at least one figure";
    const ecMsPerCm = ecAsRead(readWith, values.ecMsPerCm, values.waterC);
    if (typeof values.ecMsPerCm === "number" && ecMsPerCm === null)
      problems.waterC = "This meter does not correct for temperature: read that too";
    setErrors(problems);
    if (Object.keys(problems).length > 0 || TANK_FIGURES.some(({ name, meter }) => question(name, meter))) return;
    const result = await run({ loopId: tank.loopId, ...values, ecMsPerCm, sure: true });
    if (!result.ok) return setErrors({ ecMsPerCm: result.fields.form, ...result.fields });
    forget();
    router.push(`/round?entry=${result.value}`, { scroll: false });
  };
  const band: Partial<Record<TankFigure, string>> = {
    ...(tank.bands && {
      ecMsPerCm: `band ${quantityText(tank.bands.ecLow, "ec", meterUnits)} – ${quantityText(tank.bands.ecHigh, "ec", meterUnits)}${tank.strength && tank.strength.school.kind !== "constant" ? `, ${schoolWords(tank.strength.school)}` : ""}`,
      ph: `band ${tank.bands.phLow} – ${tank.bands.phHigh}`,
    }),
    waterC: `best under ${quantityText(WARM_WATER_C, "temperature", units)}`,
    oxygenMgPerL: "if you have a meter for it; over 5 mg/L",
    levelL: `normal fill level ${quantityText(tank.normalFillL, "volume", units)}`,
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
        {tank.meters.length > 0 && (
          <div className="col-span-full">
            <MeterChoice meters={tank.meters} meter={readWith} onChoose={chooseMeter} />
          </div>
        )}
        {TANK_FIGURES.map(({ name, label, dimension, meter }) => {
          const asked = question(name, meter);
          return (
            <div key={name}>
              <Field label={label} hint={band[name]} error={errors[name]}>
                {(aria) => (
                  <UnitsProvider units={unitsOf(name)}>
                    <QuantityInput
                      {...aria}
                      className="sign !text-2xl"
                      value={values[name]}
                      dimension={dimension}
                      onValue={(value) => set(name, value)}
                    />
                  </UnitsProvider>
                )}
              </Field>
              {asked && (
                <div role="alert" className="mt-2 border-l-[6px] border-feed bg-feed-pale p-2 text-sm">
                  <p className="font-bold">{slipQuestion(asked, units)}</p>
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
      <CorrectedEc meter={readWith} ec={values.ecMsPerCm} waterC={values.waterC} units={units} />
      {tank.meters.length === 0 && (
        <p className="mt-2 text-sm text-soft">
          Your meter shows another scale?{" "}
          <PageLink href="/feed/shelf#meters" className="underline">
            Name it on the shelf
          </PageLink>
          .
        </p>
      )}
      {tank.noRecipe && (
        <p className="mt-3 text-sm text-soft">
          This tank has no recipe yet: pH is judged by a general band, strength needs a recipe.
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-3">
        <Button look="go" type="submit" disabled={busy}>
          Save and work out
        </Button>
        {tank.meter && (
          <Button look="quiet" onClick={() => TANK_FIGURES.forEach(({ name }) => set(name, tank.meter![name] ?? null))}>
            Use the meter’s last reading
          </Button>
        )}
      </div>
      <TankDays tank={tank} />
    </form>
  );
}
