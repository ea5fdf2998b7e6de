import type { Worked } from "./worked";
import { deliveryStates } from "../batches/deliveryStates";
import { planPlaces } from "../batches/places/planPlaces";
import { workOutPlan } from "../batches/plan";
import { saltUse, shortages } from "../batches/shortages";
import { requireDay, type Day } from "../units/day";
import type { Facts } from "./facts";
import type { Garden } from "./garden";
import { memo } from "./memo";
import { loopFeeds } from "./loopFeed";
import { areaStands, planInput } from "./planInput";
import { roundOf } from "./roundOf";
import { saltStores, waterSupply } from "./supply";

/**
 * Works a garden out: plan, places, feeds, water, salts, shortages, deliveries and the round. Nothing is made before it is
 * asked for, and what was made is kept while the tables that it reads are the same objects, in this value and in every
 * other that shares them.
 *
 * @param garden rows of the plan
 * @param facts what happened lately
 * @throws RangeError for a day that is none, and from the parts for figures outside their range
 */
export function workOut(garden: Garden, facts: Facts, today: Day): Worked {
  requireDay("workOut", "today", today);
  const g = garden;
  const worked: Worked = {
    garden,
    facts,
    today,
    get growingAreaStands() {
      return memo("growingAreaStands", [g.stands, g.growingAreas], () => areaStands(g));
    },
    get input() {
      const places = [g.stands, g.growingAreas, g.loops, g.houses, g.climate] as const;
      const from = [g.batches, g.orders, g.varieties, g.places, g.recipes, g.closedDays, ...places, today] as const;
      return memo("input", from, () => planInput(g, worked.growingAreaStands, today));
    },
    get plan() {
      return memo("plan", [worked.input], () => workOutPlan(worked.input));
    },
    get placed() {
      return memo("placed", [worked.plan, worked.input], () => planPlaces(worked.plan, worked.input));
    },
    get feeds() {
      const rows = [g.loops, g.stands, g.recipes, g.salts, g.sources, g.stockTanks] as const;
      // Facts are read anew each time: what they say of feeds decides, not the list that says it.
      const read = JSON.stringify(facts.ecPairs);
      return memo("feeds", [worked.placed, ...rows, read], () => loopFeeds(worked));
    },
    get supply() {
      return memo("supply", [worked.plan, g.sources, g.stores, g.rain], () => waterSupply(g, worked.plan));
    },
    get saltUses() {
      return memo("saltUses", [worked.plan, worked.feeds, g.salts], () =>
        saltUse(worked.plan, saltStores(g, worked.feeds)),
      );
    },
    get shortages() {
      return memo("shortages", [worked.plan, worked.supply, worked.saltUses], () =>
        shortages(worked.plan, worked.input.growingAreas, worked.supply, worked.saltUses),
      );
    },
    get deliveries() {
      return memo("deliveries", [worked.plan, facts.picked], () =>
        deliveryStates(worked.plan, worked.placed.values(), facts.picked),
      );
    },
    get round() {
      return memo("round", [facts, worked.plan, worked.feeds, worked.shortages, g.houses, g.stores], () =>
        roundOf(worked),
      );
    },
  };
  return worked;
}
