import type { Short, Unmet } from "../../batches/season/explain";
import type { More } from "../../batches/season/worthOfMore";
import { groupBy } from "../../numeric/groupBy";
import { standWithMore } from "../../place/oneMore";
import { standCounts } from "../../place/standCounts";
import { sourceLimitLpd } from "../supply";
import type { Worked } from "../worked";
import { limitKey, namedLimit } from "./namedLimit";
import type { Remedy } from "./remedy";
import type { GardenSeason } from "./seasonProblem";

/** Of water and salts so much more is looked at. */
const STEP_SHARE = 0.1;

/** A remedy, and what it is in the problem. */
export interface AskedRemedy {
  readonly key: string;
  readonly remedy: Remedy;
  readonly more: More;
}

/** More of each limit that short orders meet: as much as the largest of them lacks. */
export function easings(worked: Worked, season: GardenSeason, unmet: readonly Unmet[]): AskedRemedy[] {
  const shorts = unmet.flatMap(({ why }) => (why.kind === "limits" ? why.limits : []));
  const byKey = groupBy(shorts, (short) => limitKey(namedLimit(worked, season, short)));
  return [...byKey].flatMap(([key, own]) => {
    const lacking = Math.max(...own.map(({ free, needed }) => needed - free));
    const found = easing(worked, season, own[0]!, lacking);
    return found ? [{ key, ...found }] : [];
  });
}

function easing(worked: Worked, season: GardenSeason, short: Short, lacking: number): Omit<AskedRemedy, "key"> | null {
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
export function orderRemedies({ garden }: Worked, season: GardenSeason, group: readonly Unmet[]): AskedRemedy[] {
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
