import { explainPlan, type Unmet } from "../../batches/season/explain";
import type { SeasonPlan } from "../../batches/season/problem";
import { worthOfMore, type WorthOfMore } from "../../batches/season/worthOfMore";
import { groupBy } from "../../numeric/groupBy";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import type { Garden } from "../garden";
import type { Worked } from "../worked";
import { easings, orderRemedies } from "./easing";
import { laterDays } from "./laterDay";
import { limitKey, namedLimit, type NamedLimit } from "./namedLimit";
import { LEAST_WORTH, type Remedy, type Tried } from "./remedy";
import type { GardenSeason } from "./seasonProblem";

/** Orders of a crop for the same days that go short, and why. */
export interface ShortOrder {
  readonly orderIds: readonly number[];
  /** Who ordered; empty where it is eaten at home. */
  readonly customers: readonly string[];
  readonly variety: string;
  readonly unit: string;
  readonly days: readonly Day[];
  readonly missing: number;
  readonly wanted: number;
  readonly why:
    | { readonly kind: "limits"; readonly sowDay: Day; readonly limits: readonly NamedLimit[] }
    | { readonly kind: "no-sowing" | "cost" | "gap" | "apart" };
  readonly remedies: readonly Tried[];
}

/** Why a planned season is not better than it is. */
export interface SeasonReasons {
  readonly short: readonly ShortOrder[];
  /** Short orders that are not shown. */
  readonly moreShort: number;
  /** The limits that are most worth easing. */
  readonly easing: readonly Tried[];
}

const MOST_SHORT = 8;
const MOST_EASING = 3;

/**
 * Why orders are not met in full, and what would help: the limits that the nearest further sowing would break; and what more
 * of them is worth, each solved again.
 *
 * @param plan of the season's problem, as it was placed
 * @param apart varieties of which batches were made smaller because their sites do not lie together
 * @param seasonOf the season of a garden with other orders
 * @source explainPlan, worthOfMore, laterDays
 */
export function seasonReasons(
  worked: Worked,
  season: GardenSeason,
  plan: SeasonPlan,
  {
    open,
    apart,
    seasonOf,
  }: {
    readonly open: OpenProgram;
    readonly apart: ReadonlySet<number>;
    readonly seasonOf: (garden: Garden) => GardenSeason;
  },
): SeasonReasons {
  const unmet = explainPlan(season.problem, plan).filter(
    ({ order }) => season.orders[order]!.day < season.from + season.days,
  );
  const groups = [
    ...groupBy(unmet, ({ order }) => {
      const { varietyId, orderIds } = season.orders[order]!;
      return `${varietyId}/${orderIds.join(",")}`;
    }).values(),
  ];
  const value = (own: readonly Unmet[]) =>
    own.reduce((sum, { order, wanted, given }) => {
      const { valueEach, weight } = season.problem.orders[order]!;
      return sum + (wanted - given) * valueEach * weight;
    }, 0);
  const shown = groups.sort((a, b) => value(b) - value(a)).slice(0, MOST_SHORT);
  const limits = easings(worked, season, shown.flat());
  const own = shown.map((group) => orderRemedies(worked, season, group));
  const later = laterDays(worked, season, shown, { open, seasonOf });
  const asked = [...limits, ...own.flat()];
  const worth = worthOfMore(
    season.problem,
    asked.map(({ more }) => more),
    open,
  );
  const tried = new Map(asked.map((one, at) => [one, triedOf(worked, season, one.remedy, worth[at]!)]));
  return {
    short: shown.map((group, at): ShortOrder => {
      const why = whyOf(worked, season, group, apart);
      const touched =
        why.kind === "limits" ? limits.filter(({ key }) => why.limits.some((limit) => limitKey(limit) === key)) : [];
      return {
        ...namesOf(worked, season, group),
        why,
        remedies: [...(later[at] ? [later[at]] : []), ...[...own[at]!, ...touched].map((one) => tried.get(one)!)],
      };
    }),
    moreShort: groups.length - shown.length,
    easing: limits
      .map((one) => tried.get(one)!)
      .filter((one) => one.worth > LEAST_WORTH)
      .sort((a, b) => b.worth - a.worth)
      .slice(0, MOST_EASING),
  };
}

function namesOf({ garden }: Worked, season: GardenSeason, group: readonly Unmet[]) {
  const { varietyId, orderIds } = season.orders[group[0]!.order]!;
  const variety = garden.varieties.find(({ id }) => id === varietyId)!;
  return {
    orderIds,
    customers: [
      ...new Set(orderIds.flatMap((id) => garden.orders.find((order) => order.id === id)?.customerName ?? [])),
    ],
    ...{ variety: variety.name, unit: variety.unit.name },
    days: group.map(({ order }) => season.orders[order]!.day),
    missing: group.reduce((sum, { wanted, given }) => sum + wanted - given, 0),
    wanted: group.reduce((sum, { wanted }) => sum + wanted, 0),
  };
}

/** What keeps the first short day from being met that limits can be named of; else what keeps the first. */
function whyOf(
  worked: Worked,
  season: GardenSeason,
  group: readonly Unmet[],
  apart: ReadonlySet<number>,
): ShortOrder["why"] {
  const limited = group.find(({ why }) => why.kind === "limits")?.why;
  if (limited?.kind === "limits") {
    const option = season.sowings[limited.sowing]!;
    const sowDay = "sowDay" in option ? option.sowDay : season.from;
    return { kind: "limits", sowDay, limits: limited.limits.map((one) => namedLimit(worked, season, one)) };
  }
  const { kind } = group[0]!.why;
  if (kind !== "no-sowing" && apart.has(season.orders[group[0]!.order]!.varietyId)) return { kind: "apart" };
  return { kind: kind === "limits" ? "gap" : kind };
}

function triedOf(
  { garden }: Worked,
  season: GardenSeason,
  remedy: Remedy,
  { worth, unitsByVariety, days }: WorthOfMore,
): Tried {
  const units = Math.max(...unitsByVariety);
  const at = unitsByVariety.indexOf(units);
  const variety = garden.varieties.find(({ name }) => name === season.problem.varieties[at]?.id);
  return {
    remedy,
    worth,
    gains:
      variety && days && units >= 0.5
        ? {
            ...{ variety: variety.name, unit: variety.unit.name, units },
            ...{ from: season.from + days[0], until: Math.min(season.from + days[1], season.from + season.days - 1) },
          }
        : null,
  };
}
