import { dayInWords, isoFromDay } from "@/core/units/day";
import type { Season } from "../batches/season";
import type { Member } from "../people/queries";
import type { RoundItem } from "@/core/round/types";

/** Something that can be found by its name, and where it is. */
export interface Thing {
  readonly kind: "today" | "place" | "water" | "feed" | "crop" | "batch" | "order" | "person";
  readonly name: string;
  readonly about: string;
  readonly href: string;
  /** What to open there: a name and a value for the sheet. */
  readonly open?: readonly [sheet: string, value: unknown];
}

/** Everything in a garden that has a name, what is to be done today first. */
export function things(season: Season, items: readonly RoundItem[], members: readonly Member[]): Thing[] {
  const { rows, plan } = season;
  const houseName = new Map(rows.houses.map((house) => [house.id, house.name]));
  const varietyName = new Map(rows.varieties.map((variety) => [variety.id, variety.name]));
  const near = plan.batches.filter(({ batch }) => batch.clearedDay === null);
  return [
    ...items.map((item): Thing => ({ kind: "today", name: item.title, about: item.detail, href: `/round?item=${encodeURIComponent(item.key)}` })),
    ...rows.houses.map((house): Thing => ({ kind: "place", name: house.name, about: "house", href: `/place?house=${house.id}` })),
    ...rows.stands.map((stand): Thing => ({ kind: "place", name: stand.name, about: houseName.get(stand.houseId) ?? "", href: `/place?house=${stand.houseId}&stand=${stand.id}` })),
    ...rows.pools.map((pool): Thing => ({ kind: "place", name: pool.name, about: "pool of sites", href: "/place", open: ["place", { what: "pool", id: pool.id }] })),
    ...rows.loops.map((loop): Thing => ({ kind: "water", name: `${loop.name} loop`, about: "from source to plant", href: `/water?loop=${loop.id}` })),
    ...rows.sources.map((source): Thing => ({ kind: "water", name: source.name, about: "source", href: "/water/supply" })),
    ...rows.stores.map((store): Thing => ({ kind: "water", name: store.name, about: "store", href: "/water/supply" })),
    ...rows.recipes.map((recipe): Thing => ({ kind: "feed", name: recipe.name, about: "recipe", href: recipeHref(season, recipe.id) })),
    ...rows.salts.map((salt): Thing => ({ kind: "feed", name: salt.name, about: "salt", href: "/feed/shelf" })),
    ...rows.varieties.map((variety): Thing => ({ kind: "crop", name: variety.name, about: variety.crop, href: "/growth", open: ["growth", variety.id] })),
    ...near.map(({ batch, variety, readyDay }): Thing => ({
      kind: "batch", name: `${variety.name}, sown ${dayInWords(batch.sowDay, "year")}`, about: `ready ${dayInWords(readyDay)}`,
      href: `/batches?from=${isoFromDay(batch.sowDay - 14)}&batch=${batch.id}`,
    })),
    ...rows.orders.map((order): Thing => ({ kind: "order", name: `${varietyName.get(order.varietyId) ?? ""} for ${order.outletName}`, about: `order of ${order.quantity} a week`, href: "/batches/orders", open: ["orders", order.id] })),
    ...members.map((member): Thing => ({ kind: "person", name: member.name, about: member.role, href: `/people/history?person=${member.id}` })),
  ]; // prettier-ignore
}

function recipeHref({ rows }: Season, recipeId: number): string {
  const loop = rows.loops.find((candidate) => candidate.recipeId === recipeId);
  return loop ? `/feed?loop=${loop.id}` : "/feed";
}
