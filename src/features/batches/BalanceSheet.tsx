"use client";
import { scaleLinear, scaleUtc } from "d3";
import type { Day } from "@/core/units/day";
import { dateOf, MonthAxis } from "@/ui/chart";
import { ShortageList, type ShortageView } from "@/ui/ShortageList";
import { Quantity, useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

export interface BalanceSheetProps {
  readonly shortages: readonly ShortageView[];
  /** First day of each week ahead. */
  readonly weeks: readonly Day[];
  readonly needs: readonly {
    readonly name: string;
    readonly todayLpd: number;
    readonly litres: readonly number[];
  }[];
  readonly pools: readonly {
    readonly name: string;
    readonly sites: number;
    readonly usedToday: number;
    readonly used: readonly number[];
  }[];
  readonly waterCost: number;
}

/** Does it carry? Space, water and salts of the plan ahead, with the first day each runs short. */
export function BalanceSheet({ shortages, weeks, needs, pools, waterCost }: BalanceSheetProps) {
  const units = useUnits();
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
      <ShortageList shortages={shortages} />
      <section>
        <h2 className="text-2xl">Litres a day by loop</h2>
        {needs.map((need) => (
          <WeekRow
            key={need.name}
            name={need.name}
            values={need.litres}
            weeks={weeks}
            limit={null}
            figure={
              <Why
                label={`${need.name} loop, litres a day`}
                how="Plants of the plan that stand on the loop today × what each drinks in its stage, and the drain share of a run-to-waste loop."
              >
                <Quantity value={need.todayLpd} dimension="volume" />
              </Why>
            }
          />
        ))}
        <p className="mt-2 text-soft">
          Water for the whole plan costs{" "}
          <Why label="Water for the plan" how="Litres drawn from each source on each day × its price.">
            {units.currency} {waterCost.toFixed(0)}
          </Why>
          ; see Supply under Water.
        </p>
        <h2 className="mt-5 text-2xl">Sites taken, week by week</h2>
        {pools.map((pool) => (
          <WeekRow
            key={pool.name}
            name={pool.name}
            values={pool.used}
            weeks={weeks}
            limit={pool.sites}
            figure={
              <>
                <Why
                  label={`${pool.name}, sites taken today`}
                  how="Plants of all batches that stand in the pool today; each stage takes as many sites as it has plants."
                  inputs={[["sites", String(pool.sites)]]}
                >
                  {pool.usedToday}
                </Why>{" "}
                <small>of {pool.sites}</small>
              </>
            }
          />
        ))}
      </section>
    </div>
  );
}

const WIDTH = 360;
const HEIGHT = 40;

interface WeekRowProps {
  readonly name: string;
  readonly values: readonly number[];
  readonly weeks: readonly Day[];
  readonly limit: number | null;
  readonly figure: React.ReactNode;
}

/** One post a week; over the limit it is red and stands above the line. */
function WeekRow({ name, values, weeks, limit, figure }: WeekRowProps) {
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
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${name}: at most ${Math.round(peak)}${limit === null ? " litres a day" : ` of ${limit} sites`} in the weeks ahead`}
        className="w-full"
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
        <MonthAxis scale={x} y={HEIGHT - 1} count={8} fontSize={10} />
      </svg>
    </div>
  );
}
