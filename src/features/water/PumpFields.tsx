"use client";
import { Controller, useFieldArray, useFormContext, useWatch } from "react-hook-form";
import type { Dimension } from "@/core/units/dimensions";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";

const EXAMPLE = { points: [{ flowLph: 0, headM: 5 }, { flowLph: 3000, headM: 3 }, { flowLph: 5500, headM: 1 }], highestOutletM: 1.2, lowestWaterM: 0.2, headWantedM: 0, pipeLengthM: 10, boreMm: 26.2, fittingsK: 8 }; // prettier-ignore

/** The pump by its maker's table, and the pipe it pushes through. */
export function PumpFields() {
  const { control, register, setValue } = useFormContext();
  const pump = useWatch({ control, name: "pump" }) as object | null;
  return (
    <fieldset className="mt-3 border-t border-rule pt-3">
      <legend className="sign text-xl">Pump</legend>
      <label className="mb-2 flex min-h-11 items-center gap-3 font-bold">
        <input
          type="checkbox"
          className="size-6 accent-water"
          checked={pump !== null}
          onChange={(event) => setValue("pump", event.target.checked ? EXAMPLE : null)}
        />
        This loop has a pump
      </label>
      {pump && (
        <>
          <Points />
          <div className="mt-3 grid gap-3 sm:grid-cols-2">
            <Measure name="pump.highestOutletM" label="Highest outlet, over the floor" dimension="length" />
            <Measure name="pump.lowestWaterM" label="Lowest water level, over the floor" dimension="length" />
            <Measure
              name="pump.headWantedM"
              label="Head wanted at the outlet"
              dimension="length"
              hint="0 for open spigots, 10 m for most drip"
            />
            <Measure name="pump.pipeLengthM" label="Pipe length" dimension="length" />
            <Measure name="pump.boreMm" label="Bore" dimension="bore" hint="the inside, never the nominal size" />
            <Measure
              name="pump.fittingsK"
              label="Fittings, sum of K"
              dimension="ratio"
              hint="elbow 0.9, open valve 0.2–10, inlet 0.5, outlet 1"
            />
          </div>
          <label className="mt-3 flex min-h-11 items-center gap-3 font-bold">
            <input type="checkbox" className="size-6 accent-water" {...register("pump.nonReturnValve")} />A non-return
            valve keeps the pipe full when the pump stops
          </label>
        </>
      )}
    </fieldset>
  );
}

function Points() {
  const { control, formState } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "pump.points" });
  const error = (formState.errors.pump as { points?: { message?: string } } | undefined)?.points?.message;
  return (
    <div>
      <p className="text-sm font-bold">Maker’s table, flow rising from zero</p>
      {fields.map((field, index) => (
        <div key={field.id} className="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          <Measure name={`pump.points.${index}.flowLph`} label={`Flow ${index + 1}`} dimension="flow" />
          <Measure name={`pump.points.${index}.headM`} label={`Head ${index + 1}`} dimension="length" />
          <Button look="quiet" aria-label={`Take point ${index + 1} out`} onClick={() => remove(index)}>
            ×
          </Button>
        </div>
      ))}
      {error && (
        <p role="alert" className="mt-1 text-sm font-bold text-alarm">
          {error}
        </p>
      )}
      <Button look="quiet" className="mt-1" onClick={() => append({ flowLph: null, headM: null })}>
        One more point
      </Button>
    </div>
  );
}

function Measure({
  name,
  label,
  dimension,
  hint,
}: {
  name: string;
  label: string;
  dimension: Dimension;
  hint?: string;
}) {
  const units = useUnits();
  return (
    <Controller
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          hint={hint}
          error={
            typeof field.value === "string"
              ? quantityProblem(field.value, label, dimension, units)
              : fieldState.error?.message
          }
        >
          {(aria) => (
            <QuantityInput
              {...aria}
              ref={field.ref}
              dimension={dimension}
              value={field.value}
              onValue={field.onChange}
              onBlur={field.onBlur}
            />
          )}
        </Field>
      )}
    />
  );
}
