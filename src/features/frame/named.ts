import { dayInWords, isoFromDay } from "@/core/units/day";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { Worked } from "@/core/garden/worked";
import type { Member } from "@/server/people/queries";
import type { RoundItem } from "@/core/round/types";
import { taskDetail, taskTitle } from "../round/words";

/** Something that can be found by its name, and where it is. */
export interface Named {
  readonly kind: "today" | "place" | "water" | "feed" | "crop" | "batch" | "order" | "person";
  readonly name: string;
  readonly about: string;
  readonly href: string;
  /** What to open there: a name and a value for the sheet. */
  readonly open?: readonly [sheet: string, value: unknown];
}

/** Everything in a garden that has a name, what is to be done today first. */
export function named(
  season: Worked,
  items: readonly RoundItem[],
  members: readonly Member[],
  units: UnitPreferences,
): Named[] {
  const { garden: rows, plan } = season;
  const houseName = new Map(rows.houses.map((house) => [house.id, house.name]));
  const varietyName = new Map(rows.varieties.map((variety) => [variety.id, variety.name]));
  const near = plan.batches.filter(({ batch }) => batch.clearedDay === null);
  return [
    ...items.map((item): Named => ({
      kind: "today",
      name: taskTitle(item.task),
      about: taskDetail(item.task, units),
      href: `/round?item=${encodeURIComponent(item.key)}`,
    })),
    ...rows.houses.map((house): Named => ({
      kind: "place",
      name: house.name,
      about: "house",
      href: `/place?house=${house.id}`,
    })),
    ...rows.stands.map((stand): Named => ({
      kind: "place",
      name: stand.name,
      about: houseName.get(stand.houseId) ?? "",
      href: `/place?house=${stand.houseId}&stand=${stand.id}`,
    })),
    ...rows.growingAreas.map((growingArea): Named => ({
      kind: "place",
      name: growingArea.name,
      about: "growing area",
      href: "/place",
      open: ["place", { what: "growing_area", id: growingArea.id }],
    })),
    ...rows.loops.map((loop): Named => ({
      kind: "water",
      name: `${loop.name} loop`,
      about: "from source to plant",
      href: `/water?loop=${loop.id}`,
    })),
    ...rows.sources.map((source): Named => ({
      kind: "water",
      name: source.name,
      about: "source",
      href: "/water/supply",
    })),
    ...rows.stores.map((store): Named => ({ kind: "water", name: store.name, about: "store", href: "/water/supply" })),
    ...rows.recipes.map((recipe): Named => ({
      kind: "feed",
      name: recipe.name,
      about: "recipe",
      href: recipeHref(season, recipe.id),
    })),
    ...rows.meters.map((meter): Named => ({ kind: "feed", name: meter.name, about: "meter", href: "/feed/shelf" })),
    ...rows.salts.map((salt): Named => ({ kind: "feed", name: salt.name, about: "salt", href: "/feed/shelf" })),
    ...rows.varieties.map((variety): Named => ({
      kind: "crop",
      name: variety.name,
      about: variety.crop,
      href: "/growth",
      open: ["growth", variety.id],
    })),
    ...near.map(({ batch, variety, readyDay }): Named => ({
      kind: "batch",
      name: `${variety.name}, sown ${dayInWords(batch.sowDay, "year")}`,
      about: `ready ${dayInWords(readyDay)}`,
      href: `/batches?from=${isoFromDay(batch.sowDay - 14)}&batch=${batch.id}`,
    })),
    ...rows.orders.map((order): Named => ({
      kind: "order",
      name: `${varietyName.get(order.varietyId) ?? ""} for ${order.customerName}`,
      about: `order of ${order.quantity} a week`,
      href: "/batches/orders",
      open: ["orders", order.id],
    })),
    ...members.map((member): Named => ({
      kind: "person",
      name: member.name,
      about: member.role,
      href: `/people/history?person=${member.id}`,
    })),
  ];
}

function recipeHref({ garden: rows }: Worked, recipeId: number): string {
  const loop = rows.loops.find((candidate) => candidate.recipeId === recipeId);
  return loop ? `/feed?loop=${loop.id}` : "/feed";
}
