"use client";
import { COMMON_PUMPS, type CommonPump } from "@/core/water/commonPumps";
import { quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";

const KINDS = [...new Set(COMMON_PUMPS.map(({ kind }) => kind))];

/** Common pumps by their labels, to plan with while no pump is there; one that is picked fills in both figures. */
export function PumpSizes({
  units,
  className = "input",
  onPick,
  ...aria
}: {
  readonly units: UnitPreferences;
  readonly className?: string;
  readonly onPick: (pump: CommonPump) => void;
  readonly id?: string;
  readonly "aria-label"?: string;
  readonly "aria-describedby"?: string;
}) {
  return (
    <select
      {...aria}
      className={className}
      value=""
      onChange={(event) => {
        const chosen = COMMON_PUMPS.find(({ id }) => id === event.target.value);
        if (chosen) onPick(chosen);
      }}
    >
      <option value="">pick a common size</option>
      {KINDS.map((kind) => (
        <optgroup key={kind} label={kind}>
          {COMMON_PUMPS.filter((one) => one.kind === kind && one.system === units.system).map((one) => (
            <option key={one.id} value={one.id}>
              {quantityText(one.flowAtNoLiftLph, "flow", units)}, {quantityText(one.greatestLiftM, "length", units)}
            </option>
          ))}
        </optgroup>
      ))}
    </select>
  );
}
