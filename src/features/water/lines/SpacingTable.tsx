"use client";
import { memo, useMemo, useState } from "react";
import { compareSpacings, USUAL_SPACINGS_M } from "@/core/water/dripLine";
import type { DripBeds } from "@/core/place/kinds/beds";
import { formatNumber, percentText, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

/** Shares of blocked emitters that a season brings. */
const BLOCKED = [0.02, 0.05, 0.1, 0.2] as const;

/** Emitter spacings side by side: what a close one buys. */
export const SpacingTable = memo(function SpacingTable({
  spec,
  headM,
  waterC,
}: {
  readonly spec: DripBeds;
  readonly headM: number;
  readonly waterC?: number;
}) {
  const units = useUnits();
  const [blocked, setBlocked] = useState<number>(BLOCKED[1]);
  const rows = useMemo(() => {
    const spacings = [...new Set([...USUAL_SPACINGS_M, spec.emitterSpacingM])].sort((one, other) => one - other);
    return compareSpacings(spec, spacings, headM, blocked, waterC);
  }, [spec, headM, blocked, waterC]);
  const hasPrice = spec.linePricePerM > 0;
  return (
    <section className="mt-8">
      <h2 className="text-2xl">Emitter spacings side by side</h2>
      <label className="mt-1 flex flex-wrap items-center gap-2">
        When
        <select
          value={blocked}
          onChange={(event) => setBlocked(Number(event.target.value))}
          className="border-b-2 border-ink bg-transparent px-1 font-bold"
        >
          {BLOCKED.map((share) => (
            <option key={share} value={share}>
              {percentText(share)}
            </option>
          ))}
        </select>
        of the emitters are blocked
      </label>
      <div className="overflow-x-auto">
        <table className="mt-3 w-full min-w-[44rem] text-right">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              <th className="py-1 text-left">Every</th>
              <th>Emitters per plant</th>
              <th>One line takes</th>
              <th>Flow varies</th>
              <th>A plant gets least</th>
              <th>Plants dry</th>
              <th>Under half</th>
              <th>Gap at a blocked one</th>
              <th>{hasPrice ? `Line for a season, ${units.currency}` : "Line for a season"}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr
                key={row.spacingM}
                aria-current={row.spacingM === spec.emitterSpacingM ? "true" : undefined}
                className={`border-b border-rule ${row.spacingM === spec.emitterSpacingM ? "bg-water-pale font-bold" : ""}`}
              >
                <th scope="row" className="whitespace-nowrap py-1.5 text-left">
                  {quantityText(row.spacingM, "smallLength", units)}
                </th>
                <td>{formatNumber(row.emittersPerPlant, 1)}</td>
                <td>{quantityText(row.lineLph, "flow", units)}</td>
                <td>{percentText(row.flowVariation)}</td>
                <td>{quantityText(row.leastPlantLph, "flow", units)}</td>
                <td>{percentText(row.blocking.meanChanceDry)}</td>
                <td>{percentText(row.blocking.meanChanceUnderHalf)}</td>
                <td>{quantityText(row.gapM, "smallLength", units)}</td>
                <td>{hasPrice ? formatNumber(row.costPerSeason, 0) : "no price"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-sm text-soft">
        Chances are those of blocking at random, each emitter by itself. Dirt blocks in runs and at line ends first:
        take them as the mild case. Plants that no emitter reaches are not counted among the dry ones. The same price a
        metre is taken for every spacing.
      </p>
    </section>
  );
});
