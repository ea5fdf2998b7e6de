"use client";
import type { StandFlowOf, StandFlowView } from "@/core/garden/standFlows";
import type { UnitPreferences } from "@/core/units/dimensions";
import { formatNumber, percentText, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

/** What one line of each stand gets, and one plant of it, against what its kind wants. */
export function StandFlows({ flows }: { readonly flows: readonly StandFlowView[] }) {
  const units = useUnits();
  if (flows.length === 0) return null;
  return (
    <section className="mt-8" aria-label="Line by line">
      <h2 className="text-2xl">Line by line</h2>
      <ul>
        {flows.map(({ id, name, linesPerRun, lineLph, lineLpd, wantedLph, perPlantLph, of }) => {
          const dimension = of.kind === "drip" || of.kind === "pond" || of.kind === "flood" ? "flow" : "lineFlow";
          const { words, isDoubtful } = aboutFlow(of, units);
          return (
            <li key={id} className="flex items-baseline justify-between gap-4 border-b border-rule py-2">
              <div>
                <p className="sign text-lg">{name}</p>
                <p className={isDoubtful ? "font-bold text-alarm" : "text-sm text-soft"}>{words}</p>
              </div>
              <p className="shrink-0 text-right">
                <Why
                  label={`One ${linesPerRun > 1 ? "run" : "line"} of ${name}`}
                  how="What the network gives at the lowest water to the bank of it that gets least, shared by its lines; without anything that gives pressure, what the stand is said to want. A plant’s share is that of its line, evenly."
                  inputs={[
                    ["wanted", quantityText(wantedLph, dimension, units)],
                    ["gets", quantityText(lineLph, dimension, units)],
                    ...(linesPerRun > 1 ? [["lines in a run", formatNumber(linesPerRun)] as const] : []),
                  ]}
                >
                  <span className="figure !text-xl">{quantityText(lineLph, dimension, units)}</span>
                </Why>
                <span className="block text-sm text-soft">
                  {quantityText(lineLpd, "volume", units)} a day
                  {perPlantLph > 0 && `; ${quantityText(perPlantLph, "flow", units)} a plant`}
                </span>
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What is to be said of a flow, and whether it wants looking at. */
export function aboutFlow(
  of: StandFlowOf,
  units: UnitPreferences,
): { readonly words: string; readonly isDoubtful: boolean } {
  const flow = (lph: number) => quantityText(lph, "lineFlow", units);
  const minutes = (value: number) => `${formatNumber(value, value < 10 ? 1 : 0)} min`;
  switch (of.kind) {
    case "film": {
      const { leastLph, mostLph, verdict } = of.band;
      const usual = `${flow(leastLph)} to ${flow(mostLph)} is usual over ${quantityText(of.runM, "length", units)}`;
      const judged = {
        under: `Too little: ${usual}; roots at the far end may dry.`,
        over: `More than needed: ${usual}; a deep film drowns roots.`,
        within: `A film as it should be: ${usual}.`,
      }[verdict];
      const isLong = of.runM > of.mostRunM + 1e-9;
      return {
        words: isLong
          ? `${judged} Past ${quantityText(of.mostRunM, "length", units)} oxygen and nutrients run low along the way.`
          : judged,
        isDoubtful: verdict !== "within" || isLong,
      };
    }
    case "towers":
      if (of.bottomShare === null) return { words: "Nothing stands there, or nothing runs, today.", isDoubtful: false };
      return {
        words: `Water drips from tier to tier: ${percentText(of.bottomShare)} of a day’s water reaches the lowest${of.bottomShare < LEAST_BOTTOM_SHARE ? "; the top starves the bottom: run it longer, or with more flow." : "."}`,
        isDoubtful: of.bottomShare < LEAST_BOTTOM_SHARE,
      };
    case "flood": {
      const depth = quantityText(of.floodDepthM, "smallLength", units);
      const fill = of.fillMin === null ? "it never fills" : `fills in ${minutes(of.fillMin)}`;
      const words = `${quantityText(of.floodL, "volume", units)} a flood to ${depth}, ${fill}, drains in ${minutes(of.drainMin)}, ${formatNumber(of.floodsPerDay)} a day. Under seedling trays the water need only touch their base.`;
      if (of.verdict === "run-too-short")
        return { words: `${words} The timer stops before it is full.`, isDoubtful: true };
      if (of.verdict === "never-drains")
        return {
          words: `${words} The next flood comes before it has drained: roots are without air.`,
          isDoubtful: true,
        };
      return { words, isDoubtful: false };
    }
    case "pond":
      return {
        words: `The water of a pond goes round ${formatNumber(of.turnoverPerHour, 1)} times an hour.`,
        isDoubtful: false,
      };
    case "drip":
      return {
        words: "All emitters of a line together; the sheet Drip lines follows them one by one.",
        isDoubtful: false,
      };
    case "other":
      return { words: "As much as it is given.", isDoubtful: false };
  }
}

/** With less than this of what came in at the top, the lowest tier of a tower is worse off. */
const LEAST_BOTTOM_SHARE = 0.5;
