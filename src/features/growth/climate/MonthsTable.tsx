"use client";
import { useFormContext, useWatch } from "react-hook-form";
import { CLIMATE } from "@/core/garden/entities/place";
import { fieldOf } from "@/core/garden/entities/field";
import { MONTHS } from "@/core/units/day";
import { preferredUnit, type Dimension, type UnitPreferences } from "@/core/units/dimensions";
import { editText } from "@/core/units/format";
import { messageIn } from "@/features/frame/form/FieldControl";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";

/** The figures of a climate that go by months, in the order of the table. */
export const BY_MONTH = [
  "lowestCByMonth",
  "highestCByMonth",
  "rainMmByMonth",
  "wetDaysByMonth",
  "humidityByMonth",
  "windMPerSByMonth",
] as const;
export type ByMonth = (typeof BY_MONTH)[number];

/** The unit stands at the head of the column. */
const figureOf = (value: QuantityValue | undefined, dimension: Dimension, units: UnitPreferences) =>
  typeof value === "number" ? editText(value, dimension, units).replace(/[^\d.,]+$/u, "") : undefined;

/** Twelve figures, or none of them. */
export function asMonths(values: readonly QuantityValue[]): readonly QuantityValue[] | null {
  return values.every((value) => value === null || value === "") ? null : values;
}

/** Months down, figures across: as they stand in tables of the weather. A column may stay empty as a whole. */
export function MonthsTable() {
  const units = useUnits();
  const { control, setValue, formState } = useFormContext();
  const columns = useWatch({ control, name: [...BY_MONTH] }) as readonly (readonly QuantityValue[] | null)[];
  const change = (column: number, month: number, value: QuantityValue) => {
    const now = columns[column] ?? MONTHS.map(() => null);
    const next = asMonths(now.map((one, index) => (index === month ? value : one)));
    setValue(BY_MONTH[column]!, next, { shouldDirty: true });
  };
  const problems = BY_MONTH.flatMap((name) => messageIn(formState.errors[name]) ?? []);
  return (
    <div className="col-span-full overflow-x-auto">
      <table className="w-full min-w-[27rem]">
        <caption className="sr-only">The weather of each month</caption>
        <thead>
          <tr className="text-left text-sm">
            <th className="pr-2 font-bold">Month</th>
            {BY_MONTH.map((name) => {
              const field = fieldOf(CLIMATE, name);
              const unit = "dimension" in field ? preferredUnit(field.dimension, units).symbol : "";
              return (
                <th key={name} className="px-1 align-bottom font-bold">
                  {field.label}
                  {unit && <span className="font-normal text-soft">, {unit}</span>}
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {MONTHS.map((month, index) => (
            <tr key={month}>
              <th scope="row" className="pr-2 text-left font-normal">
                {month}
              </th>
              {BY_MONTH.map((name, column) => {
                const field = fieldOf(CLIMATE, name);
                return (
                  <td key={name} className="px-1 py-0.5">
                    <QuantityInput
                      className="!min-h-9 !px-1 text-center"
                      aria-label={`${field.label}, ${month}`}
                      aria-invalid={problems.length > 0 && typeof columns[column]?.[index] !== "number"}
                      dimension={"dimension" in field ? field.dimension : "count"}
                      value={columns[column]?.[index] ?? null}
                      written={figureOf(
                        columns[column]?.[index],
                        "dimension" in field ? field.dimension : "count",
                        units,
                      )}
                      onValue={(value) => change(column, index, value)}
                    />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {problems.map((problem) => (
        <p key={problem} role="alert" className="mt-1 text-sm font-bold text-alarm">
          {problem}
        </p>
      ))}
    </div>
  );
}
