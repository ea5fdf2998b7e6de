"use client";
import type { Loop } from "@/core/garden/garden";
import type { Standing } from "@/core/garden/standing";
import type { NeedFactor } from "@/core/water/needFactor";
import { counted, quantityText } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { setNeedFactor } from "@/server/water/actions";
import { Button } from "@/ui/Button";
import { PageLink } from "@/ui/PageLink";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

export interface LoopNeedProps {
  readonly loop: Loop;
  readonly need: {
    /** A day, the mean of a week. */
    readonly litres: number;
    /** Of that, what the air takes from open water. */
    readonly openWaterLpd: number;
    readonly today: Standing | null;
    readonly hasClimate: boolean;
    /** What the log says; null where it cannot say anything. */
    readonly learned: NeedFactor | null;
  };
}

/** With fewer days nothing is proposed. */
const FEWEST_DAYS = 5;
/** What is nearer is the same. */
const NEAR = 0.03;

/** What is drunk on a loop, how that was worked out, and what the log says against it. */
export function LoopNeed({ loop, need: { litres, openWaterLpd, today, hasClimate, learned } }: LoopNeedProps) {
  const units = useUnits();
  const take = useCommand(setNeedFactor, { done: "Taken over" });
  const text = (value: number) => quantityText(value, "volume", units);
  const share = today && today.needLpd > 0 ? today.byClimateLpd / today.needLpd : null;
  const learnedFactor = learned ? Math.round(learned.factor * 100) / 100 : 1;
  const differs = Math.abs(learnedFactor / loop.needFactor - 1) > NEAR;
  return (
    <section className="mt-5" aria-label="What is drunk">
      <h2 className="text-2xl">Drunk</h2>
      <p className="mt-1">
        <Why
          label="Drunk a day"
          how="Of each plant that stands on this loop: what short grass would drink in its house that day (FAO-56) × its crop coefficient × its ground, or the figure of its stage where that was told to stand or something is missing; and what the air takes from ponds, 1.05 × short grass on the water that no raft covers; times what the log has taught; the mean of the seven days from today."
          inputs={[
            ["by the climate, today", text(today?.byClimateLpd ?? 0)],
            ["by figures of the stages, today", text((today?.needLpd ?? 0) - (today?.byClimateLpd ?? 0))],
            ...(openWaterLpd > 0 ? [["from open water, a day", text(openWaterLpd)] as [string, string]] : []),
            ["times, from the log", loop.needFactor.toFixed(2)],
          ]}
        >
          <b className="sign text-2xl">{text(litres)}</b>
        </Why>{" "}
        a day
        {share !== null && (
          <span className="text-soft">
            {share > 0.995
              ? ", by the climate"
              : share < 0.005
                ? ", by the figures of the stages"
                : ", in part by the climate, in part by figures of the stages"}
          </span>
        )}
        {openWaterLpd > 0 && `; ${text(openWaterLpd)} of it from open water`}.
      </p>
      {!hasClimate && (
        <p className="mt-1 text-sm text-soft">
          No climate is told, so a cool day counts like a hot one.{" "}
          <PageLink href="/growth/climate" className="underline">
            Tell the climate
          </PageLink>
        </p>
      )}
      {learned && learned.days >= FEWEST_DAYS && (
        <div className="mt-1">
          <p>
            {differs ? (
              <>
                By its tank they drink{" "}
                <Why
                  label="What the log says"
                  how="Level before, and what was put in, less level after, day by day over four weeks, ÷ what is worked out for that day; three days of “as worked out” are held against it. Days with a change of solution, a rise that nobody wrote down, or a leak are left out."
                  inputs={[
                    ["days", String(learned.days)],
                    ["in use now", loop.needFactor.toFixed(2)],
                  ]}
                >
                  <b>{learnedFactor.toFixed(2)} times</b>
                </Why>{" "}
                what is worked out, over {counted(learned.days, "day")}.
              </>
            ) : (
              `Its tank agrees, over ${counted(learned.days, "day")}.`
            )}
            {learned.leaks.length > 0 &&
              ` On ${counted(learned.leaks.length, "day")} far more left it than plants can drink: look for a leak.`}
          </p>
          {differs && (
            <Only right="plan">
              <Button
                className="mt-2"
                disabled={take.busy}
                onClick={() => void take.run({ id: loop.id, from: loop.needFactor, factor: learnedFactor })}
              >
                Count with {learnedFactor.toFixed(2)} from now on
              </Button>
            </Only>
          )}
        </div>
      )}
    </section>
  );
}
