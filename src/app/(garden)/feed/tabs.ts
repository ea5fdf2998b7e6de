import type { SheetTab } from "@/ui/Station";

export function feedTabs(
  present: "recipe" | "solve" | "stocks" | "injector" | "acid" | "strength" | "change" | "shelf",
  loopId: number | undefined,
): SheetTab[] {
  const query = loopId === undefined ? "" : `?loop=${loopId}`;
  return [
    { href: `/feed${query}`, name: "Recipe", present: present === "recipe" },
    { href: `/feed/solve${query}`, name: "Solve", present: present === "solve" },
    { href: `/feed/stocks${query}`, name: "Stocks", present: present === "stocks" },
    { href: `/feed/injector${query}`, name: "Injector", present: present === "injector" },
    { href: `/feed/acid${query}`, name: "Acid", present: present === "acid" },
    { href: `/feed/strength${query}`, name: "Strength", present: present === "strength" },
    { href: `/feed/change${query}`, name: "Keep or change", present: present === "change" },
    { href: "/feed/shelf", name: "Shelf", present: present === "shelf" },
  ];
}
