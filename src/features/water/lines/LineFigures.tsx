"use client";
import { useDeferredValue, useMemo } from "react";
import type { DripLineAnswer } from "@/core/water/dripLine";
import { flushing, FLUSHING_M_PER_S } from "@/core/water/flushing";
import { longestLateral } from "@/core/water/longestLateral";
import { euVerdict, flowVariationVerdict } from "@/core/water/uniformity";
import { formatNumber, percentText, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Figure } from "../Figure";

const EVEN = {
  excellent: "as even as drip gets",
  good: "good",
  fair: "fair: the far plants notice in a hot week",
  poor: "poor: some plants get far less than others",
} as const;
/** Flow variation that a line is laid for. */
const PERMITTED_VARIATION = 0.1;
const VARIES = { good: "good", acceptable: "acceptable", "too-much": "too much" } as const;

/** How even a drip line is, what it takes, and how long it may be. */
export function LineFigures({
  answer,
  headM,
  manufacturingCv,
}: {
  readonly answer: DripLineAnswer;
  readonly headM: number;
  readonly manufacturingCv: number;
}) {
  const units = useUnits();
  const { uniformity, flow, lines, lateral } = answer;
  // Sought by solving many lines: it follows a hand that drags a moment later.
  const later = useDeferredValue(useMemo(() => ({ lateral, headM }), [lateral, headM]));
  const longest = useMemo(() => longestLateral(later.lateral, later.headM, PERMITTED_VARIATION), [later]);
  const flush = useMemo(() => flushing(lateral), [lateral]);
  const speed = `${quantityText(FLUSHING_M_PER_S, "smallLength", units)} a second`;
  const { eu, cu, duLowQuarter, flowVariation } = uniformity;
  const dry = flow.flowsLph.reduce((sum, one) => sum + (one === 0 ? 1 : 0), 0);
  if (eu === null)
    return <p className="text-xl font-bold text-alarm">The line stays dry: there is no head left along it.</p>;
  const lengthText = quantityText(longest.lengthM, "length", units);
  return (
    <section aria-label="How even the line is">
      <p className="sign flex flex-wrap items-baseline gap-x-3">
        <Why
          label="Emission uniformity"
          how="What the emitter with the least gives ÷ the mean, less what the spread of new emitters takes away: (1 − 1.27 × spread ÷ √emitters per plant) × least ÷ mean (Keller and Karmeli 1974). From 90 % on excellent, from 80 % good, from 70 % fair."
          inputs={[
            ["least", quantityText(uniformity.leastLph, "flow", units)],
            ["mean", quantityText(uniformity.meanLph, "flow", units)],
            ["spread of new emitters", percentText(manufacturingCv)],
            ["emitters per plant", formatNumber(answer.emittersPerPlant, 1)],
          ]}
        >
          <span className="text-6xl leading-none">{percentText(eu)}</span>
        </Why>
        <span className="text-2xl text-soft">even</span>
      </p>
      <p className="mt-1">{EVEN[euVerdict(eu)]}</p>
      {dry > 0 && (
        <p className="mt-1 font-bold text-alarm">
          {dry} of {lateral.count} emitters get no water: there is no head left along the line.
        </p>
      )}
      <dl className="mt-3">
        <Figure
          what="Flow varies along it"
          figure={percentText(flowVariation)}
          note={VARIES[flowVariationVerdict(flowVariation)]}
        />
        <Figure
          what="One line takes"
          figure={quantityText(flow.totalLph, "flow", units)}
          note={`${lateral.count} emitters`}
        />
        <Figure
          what={lines === 1 ? "The one line" : `All ${lines} lines`}
          figure={quantityText(lines * flow.totalLph, "flow", units)}
        />
        <Figure
          what={`Longest for ${percentText(PERMITTED_VARIATION)}`}
          figure={longest.endless ? `over ${lengthText}` : longest.count === 0 ? "none" : lengthText}
          note={longest.nearlyLevel ? "hardly changes past it" : undefined}
        />
        <Figure
          what="Flushing it, end open, takes"
          figure={quantityText(flush.inletLph, "flow", units)}
          note={
            flush.headM <= headM
              ? `at ${quantityText(flush.headM, "length", units)} of head or more, so that dirt leaves at ${speed}`
              : `at ${quantityText(flush.headM, "length", units)} of head: more than there is, so that dirt stays in it`
          }
        />
        <Figure
          what="Lowest quarter ÷ mean"
          figure={duLowQuarter === null ? "–" : percentText(duLowQuarter)}
          note={cu === null ? undefined : `Christiansen ${percentText(cu)}`}
        />
      </dl>
    </section>
  );
}
