"use client";
import type { ReactNode } from "react";
import type { Blend, WaterAnalysis } from "@/core/feed/blendWaters";
import type { Nutrient } from "@/core/feed/nutrients";
import type { SourceQuality } from "@/core/garden/waterQuality";
import { formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { balanceWords } from "../words";

/** Of the elements, what decides over a water. */
const SHOWN: readonly (readonly [Nutrient, string])[] = [
  ["Ca", "Calcium"],
  ["Mg", "Magnesium"],
  ["Na", "Sodium"],
  ["Cl", "Chloride"],
  ["S", "Sulfur"],
  ["NO3-N", "Nitrate N"],
];

/** What each source holds, side by side, and the mean of what the plan draws. */
export function AnalysisTable({
  qualities,
  drawn,
}: {
  readonly qualities: readonly SourceQuality[];
  readonly drawn: Blend | null;
}) {
  return (
    <section>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[46rem] whitespace-nowrap text-right [&_td]:pl-4 [&_th]:pl-4 [&_th:first-child]:pl-0">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              <th className="py-1 text-left">mg/L, but EC and pH</th>
              <th>EC</th>
              <th>pH</th>
              <th>Alkalinity, as CaCO₃</th>
              {SHOWN.map(([one, name]) => (
                <th key={one}>{name}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {qualities.map(({ source }) => (
              <WaterRow key={source.id} name={source.name} water={source} />
            ))}
            {drawn && <WaterRow name="as the plan draws them" water={drawn} atLeast={drawn.atLeast} />}
          </tbody>
        </table>
      </div>
      <ul className="mt-2 text-sm text-soft">
        {qualities.map(({ source, balance }) => (
          <li key={source.id} className={balance?.verdict === "out" ? "font-bold text-alarm" : ""}>
            {source.name}: {balance ? balanceWords(balance) : "nothing is told of what is in it."}
            {balance?.verdict === "out" && " It was kept so."}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** One water, figure by figure; what is not told is a dash. */
function WaterRow({
  name,
  water,
  atLeast = [],
}: {
  readonly name: ReactNode;
  readonly water: WaterAnalysis;
  readonly atLeast?: readonly Nutrient[];
}) {
  const units = useUnits();
  const { ecMsPerCm, ph, alkalinityMgCaco3PerL, analysisMgPerL } = water;
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="py-1.5 text-left">
        {name}
      </th>
      <td>{ecMsPerCm === null ? "–" : quantityText(ecMsPerCm, "ec", units)}</td>
      <td>{ph === null ? "–" : formatNumber(ph, 1)}</td>
      <td>{alkalinityMgCaco3PerL > 0 ? formatNumber(alkalinityMgCaco3PerL) : "–"}</td>
      {SHOWN.map(([one]) => {
        const mgPerL = analysisMgPerL[one];
        return (
          <td key={one}>
            {mgPerL === undefined
              ? "–"
              : `${atLeast.includes(one) ? "≥ " : ""}${formatNumber(mgPerL, mgPerL < 10 ? 1 : 0)}`}
          </td>
        );
      })}
    </tr>
  );
}
