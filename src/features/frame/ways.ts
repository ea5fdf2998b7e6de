import type { Right } from "@/core/people/rights";

/** A sheet, the key that goes to its station after `g`, and what it is for. */
export interface Way {
  readonly href: string;
  readonly name: string;
  readonly about: string;
  readonly key?: string;
}

/** All sheets, in the order of the path. */
export const SHEETS: readonly Way[] = [
  { href: "/round", name: "Round", about: "today's walk", key: "r" },
  { href: "/round/answers", name: "Quick answers", about: "how many fit, how much water, when to sow", key: "q" },
  { href: "/round/log", name: "Log", about: "what was done" },
  { href: "/place", name: "Place", about: "plan to scale, plant counts", key: "p" },
  {
    href: "/place/setup",
    name: "What have you got?",
    about: "a new place with stands, tank and pump, told in sentences",
  },
  { href: "/place/bench", name: "Bench", about: "cut lists, supports, materials" },
  { href: "/water", name: "Water", about: "from source to plant", key: "w" },
  { href: "/water/supply", name: "Supply", about: "will the water last" },
  { href: "/feed", name: "Feed", about: "recipe", key: "f" },
  { href: "/feed/stocks", name: "Stocks", about: "tanks A and B, how long they last" },
  { href: "/feed/injector", name: "Injector", about: "does it dose at every bank, calibration" },
  { href: "/feed/acid", name: "Acid", about: "how much acid the water takes" },
  { href: "/feed/strength", name: "Strength", about: "by age, season and crop" },
  { href: "/feed/shelf", name: "Shelf", about: "salts on hand" },
  { href: "/growth", name: "Growth", about: "crops", key: "g" },
  { href: "/growth/sowing", name: "Sowing", about: "sow day and cells" },
  { href: "/growth/propagation", name: "Propagation", about: "racks, tray by tray" },
  { href: "/growth/shoots", name: "Shoots and fodder", about: "trays sown by weight, ration of animals" },
  { href: "/growth/trials", name: "Trials", about: "is it better, or was it chance" },
  { href: "/growth/climate", name: "Climate", about: "months of the place, heat, shade and lamps" },
  { href: "/batches", name: "Batches", about: "the season", key: "b" },
  { href: "/batches/weeks", name: "Week by week", about: "what to sow, thin, move and pick, on one sheet of paper" },
  { href: "/batches/orders", name: "Orders", about: "by customer and weekday" },
  { href: "/batches/plan", name: "Plan the season", about: "from the orders, for all crops together" },
  { href: "/batches/balance", name: "Balance", about: "will it all fit" },
  { href: "/batches/what-if", name: "What if", about: "changes tried beside the garden, compared and adopted" },
  { href: "/people", name: "People", about: "members and invitations", key: "m" },
  { href: "/people/garden", name: "Garden", about: "its name, place and units" },
  { href: "/people/examples", name: "Examples", about: "six small gardens to open and copy from" },
  { href: "/people/history", name: "History", about: "who changed what" },
  { href: "/people/you", name: "You", about: "password, where you are signed in" },
];

/** What can be begun from anywhere: the sheet it happens on and what opens there. */
export interface Act {
  readonly name: string;
  readonly right: Right;
  readonly href: string;
  readonly open?: readonly [sheet: string, value: unknown];
}

export const ACTS: readonly Act[] = [
  { name: "How many plants fit?", right: "look", href: "/round/answers?q=fit" },
  { name: "How much water does each plant get?", right: "look", href: "/round/answers?q=water" },
  { name: "How much goes into the tank?", right: "look", href: "/round/answers?q=tank" },
  { name: "When do I sow, and how many?", right: "look", href: "/round/answers?q=sow" },
  { name: "How many can I pick a week?", right: "look", href: "/round/answers?q=week" },
  { name: "Will this pump do?", right: "look", href: "/round/answers?q=pump" },
  { name: "Write a note", right: "log", href: "/round/log", open: ["note", true] },
  { name: "Add batches", right: "plan", href: "/batches", open: ["adding", true] },
  { name: "Plan the season from the orders", right: "plan", href: "/batches/plan" },
  { name: "New order", right: "plan", href: "/batches/orders", open: ["orders", "new"] },
  { name: "New customer", right: "plan", href: "/batches/orders", open: ["orders", "customer"] },
  { name: "Add channels, beds, racks …", right: "plan", href: "/place", open: ["place", { what: "new-stand" }] },
  { name: "New house", right: "plan", href: "/place", open: ["place", { what: "new-house" }] },
  { name: "New growing area", right: "plan", href: "/place", open: ["place", { what: "new-growing-area" }] },
  { name: "Import a layout", right: "plan", href: "/place/layouts", open: ["layouts", { what: "import" }] },
  { name: "New cut list", right: "plan", href: "/place/bench", open: ["bench", { what: "new", start: null }] },
  { name: "New loop", right: "plan", href: "/water", open: ["water", "new"] },
  { name: "New source", right: "plan", href: "/water/supply", open: ["supply", { source: null }] },
  { name: "New recipe", right: "plan", href: "/feed", open: ["feed", "new"] },
  { name: "New salt", right: "plan", href: "/feed/shelf", open: ["shelf", "new"] },
  { name: "A crop from the library", right: "plan", href: "/growth", open: ["growth", "library"] },
  { name: "A recipe from the library", right: "plan", href: "/feed", open: ["feed", "library"] },
  { name: "New variety", right: "plan", href: "/growth", open: ["growth", "new"] },
  { name: "Invite somebody", right: "keep", href: "/people", open: ["people", "invite"] },
];
