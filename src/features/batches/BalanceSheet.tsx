"use client";
import { scaleLinear, scaleUtc } from "d3";
import type { BalanceView } from "@/core/garden/balance";
import type { Day } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import { dateOf } from "@/ui/chart/axes";
import { ChartFrame } from "@/ui/chart/ChartFrame";
import { ShortageList } from "@/ui/ShortageList";
import { Quantity, useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

/** Will it all fit? Space, water and salts of the plan ahead, with the first day each runs short. */
export function BalanceSheet({
  shortages,
  counted,
  weeks,
  needs,
  growingAreas,
  waterCost,
}: Omit<BalanceView, "ahead" | "met">) {
  const units = useUnits();
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
      <ShortageList shortages={shortages} {...counted} />
      <section>
        {needs.length > 0 && <h2 className="text-2xl">Water a day by loop</h2>}
        {needs.map((need) => (
          <WeekRow
            key={need.loopName ?? ""}
            name={loopWords(need.loopName)}
            values={need.litres}
            weeks={weeks}
            limit={null}
            figure={
              <Why
                label={`${loopWords(need.loopName)}, water a day`}
                how="Plants of the plan that stand on the loop today × what each drinks in its stage, and the drain share of a run-to-waste loop."
              >
                <Quantity value={need.todayLpd} dimension="volume" />
              </Why>
            }
          />
        ))}
        {needs.length > 0 && (
          <p className="mt-2 text-soft">
            Water for the whole plan costs{" "}
            <Why label="Water for the plan" how="Litres drawn from each source on each day × its price.">
              {quantityText(Math.round(waterCost), "money", units)}
            </Why>
            ; see Supply under Water.
          </p>
        )}
        {growingAreas.length > 0 && <h2 className="mt-5 text-2xl">Sites taken, week by week</h2>}
        {growingAreas.map((growingArea) => (
          <WeekRow
            key={growingArea.name}
            name={growingArea.name}
            values={growingArea.used}
            weeks={weeks}
            limit={growingArea.sites}
            figure={
              <>
                <Why
                  label={`${growingArea.name}, sites taken today`}
                  how="Plants of all batches that stand in the growing area today; each stage takes as many sites as it has plants."
                  inputs={[["sites", String(growingArea.sites)]]}
                >
                  {growingArea.usedToday}
                </Why>{" "}
                <small>of {growingArea.sites}</small>
              </>
            }
          />
        ))}
      </section>
    </div>
  );
}

const loopWords = (loopName: string | null) => (loopName === null ? "by hand" : `${loopName} loop`);

const WIDTH = 360;
const HEIGHT = 40;

interface WeekRowProps {
  readonly name: string;
  readonly values: readonly number[];
  readonly weeks: readonly Day[];
  readonly limit: number | null;
  readonly figure: React.ReactNode;
}

/** One post a week; over the limit it is red above the line. */
function WeekRow({ name, values, weeks, limit, figure }: WeekRowProps) {
  const units = useUnits();
  const most = Math.max(1e-9, limit ?? 0, ...values);
  const x = scaleUtc([dateOf(weeks[0]!), dateOf(weeks.at(-1)! + 7)], [0, WIDTH]);
  const y = scaleLinear([0, most], [HEIGHT - 12, 2]);
  const width = Math.max(2, WIDTH / weeks.length - 1);
  const peak = Math.max(...values);
  return (
    <div className="grid grid-cols-[8.5rem_1fr] items-center gap-x-4 border-b border-rule py-1">
      <div>
        <p className="sign text-lg">{name}</p>
        <p className="figure !text-xl">{figure}</p>
      </div>
      <ChartFrame
        width={WIDTH}
        height={HEIGHT}
        label={`${name}: at most ${limit === null ? `${quantityText(peak, "volume", units)} a day` : `${Math.round(peak)} of ${limit} sites`} in the weeks ahead`}
        fontSize={10}
        foot={{ kind: "months", scale: x, count: 8 }}
      >
        {values.map((value, index) => {
          const over = limit !== null && value > limit;
          return (
            <g key={weeks[index]}>
              <rect
                x={x(dateOf(weeks[index]!))}
                y={y(over ? limit : value)}
                width={width}
                height={Math.max(0, HEIGHT - 12 - y(over ? limit : value))}
                className={limit === null ? "fill-water" : "fill-leaf"}
              />
              {over && (
                <rect
                  x={x(dateOf(weeks[index]!))}
                  y={y(value)}
                  width={width}
                  height={y(limit) - y(value)}
                  className="fill-alarm-pale stroke-alarm"
                />
              )}
            </g>
          );
        })}
        {limit !== null && (
          <line x1="0" x2={WIDTH} y1={y(limit)} y2={y(limit)} className="stroke-ink" strokeWidth="1.5" />
        )}
      </ChartFrame>
    </div>
  );
}
