import { explainPlan, type Short, type Unmet } from "../../batches/season/explain";
import type { SeasonPlan } from "../../batches/season/problem";
import { worthOfMore, type More, type WorthOfMore } from "../../batches/season/worthOfMore";
import { groupBy } from "../../numeric/groupBy";
import type { OpenProgram } from "../../numeric/warmProgram";
import { standCounts } from "../../place/standCounts";
import { standWithMore } from "../../place/oneMore";
import type { Day } from "../../units/day";
import { sourceLimitLpd } from "../supply";
import type { Worked } from "../worked";
import type { Remedy } from "./remedy";
import type { GardenSeason } from "./seasonProblem";

/** A limit by its name and its days. */
export type NamedLimit = {
  readonly from: Day;
  /** The last day. */
  readonly until: Day;
  readonly free: number;
  readonly needed: number;
} & (
  | { readonly kind: "sites"; readonly growingAreaId: number; readonly name: string }
  | { readonly kind: "water" }
  | { readonly kind: "hours" }
  | { readonly kind: "salt"; readonly saltId: number; readonly name: string }
);

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

/** A remedy with what it would bring by an estimate: money of the whole season, and units of the crop that gains most. */
export interface Tried {
  readonly remedy: Remedy;
  readonly worth: number;
  readonly gains: {
    readonly variety: string;
    readonly unit: string;
    readonly units: number;
    readonly from: Day;
    readonly until: Day;
  } | null;
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
const LEAST_WORTH = 0.5;
/** Of water and salts so much more is looked at. */
const STEP_SHARE = 0.1;

/**
 * Why orders are not met in full, and what would help: the limits that the nearest further sowing would break; and what more
 * of them is worth, each solved again.
 *
 * @param plan of the season's problem, as it was placed
 * @param apart varieties of which batches were made smaller because their sites do not lie together
 * @source explainPlan, worthOfMore
 */
export function seasonReasons(
  worked: Worked,
  season: GardenSeason,
  plan: SeasonPlan,
  { open, apart }: { readonly open: OpenProgram; readonly apart: ReadonlySet<number> },
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
  const limits = easable(worked, season, shown.flat());
  const own = shown.map((group) => orderRemedies(worked, season, group));
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
        why.kind === "limits" ? limits.filter(({ key }) => why.limits.some((limit) => keyOf(limit) === key)) : [];
      return {
        ...namesOf(worked, season, group),
        why,
        remedies: [...own[at]!, ...touched].map((one) => tried.get(one)!),
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
    return { kind: "limits", sowDay, limits: limited.limits.map((one) => named(worked, season, one)) };
  }
  const { kind } = group[0]!.why;
  if (kind !== "no-sowing" && apart.has(season.orders[group[0]!.order]!.varietyId)) return { kind: "apart" };
  return { kind: kind === "limits" ? "gap" : kind };
}

function named({ garden, input }: Worked, { from, problem }: GardenSeason, { limit, free, needed }: Short): NamedLimit {
  switch (limit.kind) {
    case "sites": {
      const { id, name } = input.growingAreas[limit.area]!;
      return {
        kind: "sites",
        growingAreaId: id,
        name,
        from: from + limit.from,
        until: from + limit.to - 1,
        free,
        needed,
      };
    }
    case "water":
      return { kind: "water", from: from + limit.from, until: from + limit.to - 1, free, needed };
    case "labour": {
      const monday = from + 7 * limit.week;
      return { kind: "hours", from: monday, until: monday + 6, free: free / 60, needed: needed / 60 };
    }
    case "stock": {
      const { id: name } = problem.stocks![limit.stock]!;
      const saltId = garden.salts.find((salt) => salt.name === name)!.id;
      return { kind: "salt", saltId, name, from, until: from + problem.days - 1, free, needed };
    }
  }
}

const keyOf = (limit: NamedLimit): string =>
  limit.kind === "sites" ? `sites ${limit.growingAreaId}` : limit.kind === "salt" ? `salt ${limit.saltId}` : limit.kind;

interface Asked {
  readonly key: string;
  readonly remedy: Remedy;
  readonly more: More;
}

/** More of each limit that short orders meet: as much as the largest of them lacks. */
function easable(worked: Worked, season: GardenSeason, unmet: readonly Unmet[]): Asked[] {
  const shorts = unmet.flatMap(({ why }) => (why.kind === "limits" ? why.limits : []));
  const byKey = groupBy(shorts, (short) => keyOf(named(worked, season, short)));
  return [...byKey].flatMap(([key, own]) => {
    const lacking = Math.max(...own.map(({ free, needed }) => needed - free));
    const found = easing(worked, season, own[0]!, lacking);
    return found ? [{ key, ...found }] : [];
  });
}

function easing(worked: Worked, season: GardenSeason, short: Short, lacking: number): Omit<Asked, "key"> | null {
  const { garden, input, growingAreaStands } = worked;
  const { limit } = short;
  switch (limit.kind) {
    case "sites": {
      const stand = growingAreaStands.get(input.growingAreas[limit.area]!.id)?.at(-1);
      if (!stand) return null;
      const sitesOf = (more: number) => standCounts(standWithMore(stand.spec, more)).sites;
      const each = sitesOf(1) - sitesOf(0);
      const more = Math.min(20, Math.max(1, Math.ceil(lacking / Math.max(1, each) - 1e-9)));
      const sites = sitesOf(more) - sitesOf(0);
      return {
        remedy: { kind: "sites", standId: stand.id, name: stand.name, more, sites },
        more: { kind: "sites", area: limit.area, sites },
      };
    }
    case "water": {
      const source = [...garden.sources].sort((a, b) => sourceLimitLpd(b) - sourceLimitLpd(a))[0];
      if (!source) return null;
      const litresPerDay = rounded(
        Math.max(lacking / Math.max(1, limit.to - limit.from), STEP_SHARE * sourceLimitLpd(source)),
      );
      return {
        remedy: { kind: "water", sourceId: source.id, name: source.name, litresPerDay },
        more: { kind: "water", litresPerDay },
      };
    }
    case "labour": {
      const hours = Math.max(1, Math.ceil(lacking / 60));
      return { remedy: { kind: "hours", hours }, more: { kind: "labour", minutesPerWeek: 60 * hours } };
    }
    case "stock": {
      const { id: name, amount } = season.problem.stocks![limit.stock]!;
      const salt = garden.salts.find((one) => one.name === name)!;
      const grams = rounded(Math.max(lacking, STEP_SHARE * amount));
      return {
        remedy: { kind: "salt", saltId: salt.id, name, grams },
        more: { kind: "stock", stock: limit.stock, amount: grams },
      };
    }
  }
}

/** Upwards to 1, 2 or 5 of its power of ten. */
function rounded(value: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(1, value)));
  return power * ([1, 2, 5, 10].find((step) => step * power >= value - 1e-9) ?? 10);
}

/** An order taken smaller, or from later on. */
function orderRemedies({ garden }: Worked, season: GardenSeason, group: readonly Unmet[]): Asked[] {
  const { orderIds } = season.orders[group[0]!.order]!;
  const order = garden.orders.find(({ id }) => id === orderIds[0]);
  if (!order || orderIds.length > 1) return [];
  const variety = garden.varieties.find(({ id }) => id === order.varietyId)!;
  const own = season.orders.flatMap(({ orderIds: ids, day }, at) =>
    ids.includes(order.id) && day < season.from + season.days ? [{ at, day }] : [],
  );
  const shortOn = new Set(group.map(({ order: at }) => at));
  const days = own.sort((a, b) => a.day - b.day);
  // What is given on the mean could be given each time; an order that is short now and then is not made smaller.
  const mean =
    order.quantity - group.reduce((sum, { wanted, given }) => sum + wanted - given, 0) / Math.max(1, days.length);
  const quantity = variety.unit.divisible ? Math.floor(mean * 10) / 10 : Math.floor(mean + 1e-6);
  const isMostly = group.length > days.length / 2;
  const firstMet = days.findIndex(({ at }) => !shortOn.has(at));
  const isPrefix = firstMet > 0 && days.slice(firstMet).every(({ at }) => !shortOn.has(at));
  const key = `order ${order.id}`;
  return [
    ...(quantity > 0 && isMostly
      ? [
          {
            key,
            remedy: { kind: "fewer", orderId: order.id, name: order.customerName, quantity } as const,
            more: { kind: "orders", orders: days.map(({ at }) => at), most: quantity } as const,
          },
        ]
      : []),
    ...(isPrefix
      ? [
          {
            key,
            remedy: { kind: "later", orderId: order.id, name: order.customerName, from: days[firstMet]!.day } as const,
            more: { kind: "orders", orders: days.slice(0, firstMet).map(({ at }) => at), most: 0 } as const,
          },
        ]
      : []),
  ];
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
