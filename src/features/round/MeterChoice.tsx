"use client";
import { ecAt25C, RULE_HOLDS_FROM_C, type Meter } from "@/core/feed/meters";
import type { MeterRow } from "@/core/garden/garden";
import type { UnitPreferences } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import { useDraft } from "@/features/frame/drafts";
import { Field } from "@/ui/Field";
import type { QuantityValue } from "@/ui/QuantityInput";

const OTHER = "other";
/** A meter of the garden by its id, another one, or nothing said yet. */
type MeterChosen = number | typeof OTHER | null;

/** The meter that this person reads with; what it shows is meant by a bare figure. */
export function useMeter(meters: readonly MeterRow[], units: UnitPreferences) {
  const [chosen, choose] = useDraft<MeterChosen>("meter", null);
  // The only one there is is meant until somebody says otherwise.
  const meter = meters.find(({ id }) => id === chosen) ?? (chosen === null && meters.length === 1 ? meters[0]! : null);
  return { meter, choose, units: meter ? { ...units, ec: meter.ecScale } : units };
}

/** Which meter is read, where the garden has named some. */
export function MeterChoice({
  meters,
  meter,
  onChoose,
}: {
  readonly meters: readonly MeterRow[];
  readonly meter: MeterRow | null;
  readonly onChoose: (chosen: MeterChosen) => void;
}) {
  return (
    <Field
      label="Read with"
      hint={meter && !meter.compensated ? "does not correct for temperature: read that too" : ""}
    >
      {(aria) => (
        <select
          {...aria}
          className="input"
          value={meter?.id ?? OTHER}
          onChange={({ target }) => onChoose(target.value === OTHER ? OTHER : Number(target.value))}
        >
          <option value={OTHER}>another meter, in the garden’s scale</option>
          {meters.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** What a reading of a meter is at 25 °C; null where a figure that it takes is missing. */
export function ecAsRead(meter: Meter | null, ec: QuantityValue, waterC: QuantityValue): number | null {
  if (typeof ec !== "number") return null;
  if (!meter || meter.compensated) return ec;
  return typeof waterC === "number" && waterC >= -5 && waterC <= 60 && ec >= 0 && ec <= 200
    ? ecAt25C(ec, waterC)
    : null;
}

/** The same in words, for a meter that does not correct by itself. */
export function CorrectedEc({
  meter,
  ec,
  waterC,
  units,
}: {
  readonly meter: Meter | null;
  readonly ec: QuantityValue;
  readonly waterC: QuantityValue;
  readonly units: UnitPreferences;
}) {
  const at25 = ecAsRead(meter, ec, waterC);
  if (!meter || meter.compensated || at25 === null || typeof waterC !== "number") return null;
  return (
    <p className="mt-2">
      That is <strong>{quantityText(at25, "ec", units)}</strong> at {quantityText(25, "temperature", units)}
      {waterC < RULE_HOLDS_FROM_C
        ? `; in water under ${quantityText(RULE_HOLDS_FROM_C, "temperature", units)} it is a few percent too much.`
        : "."}
    </p>
  );
}
