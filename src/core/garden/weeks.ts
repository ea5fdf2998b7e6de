import { groupBy } from "../numeric/groupBy";
import { weekdayOf, type Day } from "../units/day";
import type { CropMark } from "./cropMarks";
import type { BatchView, MissedLine, SeasonView } from "./seasonView";

/** A piece of the work of a week. */
export interface WeekWork {
  readonly kind: "sow" | "thin" | "move" | "pick";
  readonly day: Day;
  readonly batchId: number;
  readonly variety: string;
  readonly mark: CropMark;
  /** Cells or trays sown, cells thinned, plants moved, or units picked. */
  readonly count: number;
  readonly unit: string;
  /** Where to: the growing area, and its lines where they are known; of a picking, who gets it. */
  readonly area: string;
  readonly lines: string;
}

export interface AreaWeek {
  readonly id: number;
  readonly name: string;
  readonly sites: number;
  /** Sites taken on the fullest day of the week. */
  readonly most: number;
}

/** A week of a season: what is done, what goes short, how full it is. */
export interface Week {
  /** Its Monday, or the first day that is shown. */
  readonly from: Day;
  readonly to: Day;
  readonly work: readonly WeekWork[];
  readonly missed: readonly MissedLine[];
  readonly areas: readonly AreaWeek[];
}

/** The season week by week: the same facts as in its picture. */
export function weeksOf(view: SeasonView): Week[] {
  const places = new Map(view.blocks.map(({ batchId, stage, where }) => [`${batchId}/${stage}`, where]));
  const work = view.batches
    .flatMap((batch) => workOf(batch, view, places))
    .filter(({ day }) => day >= view.from && day < view.to)
    .sort((a, b) => a.day - b.day || ORDER[a.kind] - ORDER[b.kind] || byName(a.variety, b.variety));
  const mondays = Array.from({ length: view.to - view.from }, (_, at) => view.from + at).filter(
    (day) => day === view.from || weekdayOf(day) === 1,
  );
  return mondays.map((from, at): Week => {
    const to = mondays[at + 1] ?? view.to;
    const isIn = (day: Day) => day >= from && day < to;
    return {
      ...{ from, to },
      work: work.filter(({ day }) => isIn(day)),
      missed: view.market.filter(({ day }) => isIn(day)).flatMap(({ missed }) => missed),
      areas: view.growingAreas.map(({ id, name, sites, used }) => ({
        ...{ id, name, sites },
        most: Math.max(0, ...used.slice(from - view.from, to - view.from)),
      })),
    };
  });
}

const byName = new Intl.Collator("en").compare;
const ORDER = { pick: 0, move: 1, thin: 2, sow: 3 } as const;

function workOf(batch: BatchView, view: SeasonView, places: ReadonlyMap<string, string>): WeekWork[] {
  const { id, variety, mark, steps, thinned, serves, cells, isTrays } = batch;
  const common = { batchId: id, variety, mark };
  const sown = isTrays ? "trays" : "cells";
  const place = (stage: number) => ({
    area: view.growingAreas.find((area) => area.id === steps[stage]!.growingAreaId)?.name ?? "",
    lines: places.get(`${id}/${stage}`) ?? "",
  });
  return [
    { ...common, kind: "sow", day: steps[0]!.from, count: cells, unit: sown, ...place(0) },
    ...thinned.map((day) => ({ ...common, kind: "thin" as const, day, count: cells, unit: sown, ...place(0) })),
    ...steps.slice(1).map(({ from, plants }, at) => ({
      ...{ ...common, kind: "move" as const, day: from, count: plants },
      ...{ unit: "plants", ...place(at + 1) },
    })),
    ...serves.map(({ day, units, customer }) => ({
      ...{ ...common, kind: "pick" as const, day, count: units },
      ...{ unit: batch.unit, area: customer, lines: place(steps.length - 1).lines },
    })),
  ];
}

/** Pieces of work of one kind, day, crop and place drawn together. */
export function alike(work: readonly WeekWork[]): WeekWork[] {
  return [...groupBy(work, ({ kind, day, variety, area }) => `${kind}/${day}/${variety}/${area}`).values()].map(
    (own) => ({
      ...own[0]!,
      count: own.reduce((sum, { count }) => sum + count, 0),
      lines: [...new Set(own.map(({ lines }) => lines))].filter(Boolean).join("; "),
    }),
  );
}
