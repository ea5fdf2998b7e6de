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
  { href: "/round/log", name: "Log", about: "what was done" },
  { href: "/place", name: "Place", about: "plan to scale, plant counts", key: "p" },
  { href: "/place/layouts", name: "What if", about: "layouts compared before anything is built" },
  { href: "/place/bench", name: "Bench", about: "cut lists, supports, materials" },
  { href: "/water", name: "Water", about: "from source to plant", key: "w" },
  { href: "/water/supply", name: "Supply", about: "will the water last" },
  { href: "/feed", name: "Feed", about: "recipe", key: "f" },
  { href: "/feed/stocks", name: "Stocks", about: "tanks A and B, injector" },
  { href: "/feed/shelf", name: "Shelf", about: "salts on hand" },
  { href: "/growth", name: "Growth", about: "crops", key: "g" },
  { href: "/growth/sowing", name: "Sowing", about: "sow day and cells" },
  { href: "/batches", name: "Batches", about: "the season", key: "b" },
  { href: "/batches/orders", name: "Orders", about: "by outlet and weekday" },
  { href: "/batches/balance", name: "Balance", about: "will it all fit" },
  { href: "/people", name: "People", about: "members and invitations", key: "m" },
  { href: "/people/garden", name: "Garden", about: "its name, place and units" },
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
  { name: "Write a note", right: "log", href: "/round/log", open: ["note", true] },
  { name: "Add batches", right: "plan", href: "/batches", open: ["adding", true] },
  { name: "New order", right: "plan", href: "/batches/orders", open: ["orders", "new"] },
  { name: "New outlet", right: "plan", href: "/batches/orders", open: ["orders", "outlet"] },
  { name: "New stand", right: "plan", href: "/place", open: ["place", { what: "new-stand" }] },
  { name: "New house", right: "plan", href: "/place", open: ["place", { what: "new-house" }] },
  { name: "New pool", right: "plan", href: "/place", open: ["place", { what: "new-pool" }] },
  { name: "Bring a layout in", right: "plan", href: "/place/layouts", open: ["layouts", { what: "import" }] },
  { name: "New cut list", right: "plan", href: "/place/bench", open: ["bench", { what: "new", start: null }] },
  { name: "New loop", right: "plan", href: "/water", open: ["water", "new"] },
  { name: "New source", right: "plan", href: "/water/supply", open: ["supply", { source: null }] },
  { name: "New recipe", right: "plan", href: "/feed", open: ["feed", "new"] },
  { name: "New salt", right: "plan", href: "/feed/shelf", open: ["shelf", "new"] },
  { name: "New variety", right: "plan", href: "/growth", open: ["growth", "new"] },
  { name: "Invite somebody", right: "keep", href: "/people", open: ["people", "invite"] },
];
