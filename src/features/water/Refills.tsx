"use client";
import type { SourceRefill } from "@/core/garden/refills";
import { clockText, formatNumber, percentText, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

/** Whether wells and mains keep up, hour by hour, with what the tanks of their loops give away today. */
export function Refills({ refills }: { refills: readonly SourceRefill[] }) {
  const units = useUnits();
  if (refills.length === 0) return null;
  const litres = (value: number) => quantityText(value, "volume", units);
  return (
    <section className="mt-6" aria-label="Hour by hour">
      <h2 className="text-2xl">Hour by hour today</h2>
      <ul className="mt-1 space-y-2">
        {refills.map(({ source, loops, flowLph, hoursPerDay, tankL, drawnLpd, answer }) => (
          <li key={source.id}>
            <Why
              label={`${source.name}, hour by hour`}
              how="Loops that run to waste empty their tanks as their timers run, others as plants drink while the sun is up. The source fills whenever the tanks together are not full, as long as its hours last."
              inputs={[
                ["fills", loops.join(", ")],
                ["tanks together", litres(tankL)],
                ["drawn today", litres(drawnLpd)],
                ["flow", flowLph > 0 ? quantityText(flowLph, "flow", units) : "not told"],
                ["hours a day", formatNumber(hoursPerDay, 1)],
                ["hours used", answer ? formatNumber(answer.hoursUsed, 1) : "–"],
              ]}
            >
              <b>{source.name}</b>
            </Why>
            : {verdict(answer, tankL)}
          </li>
        ))}
      </ul>
    </section>
  );

  function verdict(answer: SourceRefill["answer"], tankL: number) {
    if (!answer) return "no flow is told: whether it keeps up is not known.";
    const at = clockText(answer.lowestHour * 60);
    if (answer.lowestL < 0)
      return (
        <b className="text-alarm">
          {litres(-answer.lowestL)} short from {at} on: more flow, a larger tank, or runs further apart.
        </b>
      );
    const share = percentText(tankL > 0 ? answer.lowestL / tankL : 0);
    return answer.isFullAgain ? (
      `it keeps up; the tanks are lowest at ${at}, ${share} full.`
    ) : (
      <b className="text-alarm">
        it does not fill the tanks again by midnight: they begin the next day with less, and lowest is {share}.
      </b>
    );
  }
}
