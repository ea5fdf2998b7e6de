import { stillOf } from "@/core/place/stillVessel";
import type { Stand } from "@/core/garden/garden";
import type { SheetTab } from "@/ui/Station";

/** The sheets of the water; still water has one where there is some. */
export function waterTabs(
  present: "ladder" | "lines" | "pump" | "still" | "supply" | "quality",
  stands: readonly Pick<Stand, "spec">[],
): SheetTab[] {
  const hasStill = stands.some(({ spec }) => stillOf(spec));
  return [
    { href: "/water", name: "Ladder", present: present === "ladder" },
    { href: "/water/lines", name: "Drip lines", present: present === "lines" },
    { href: "/water/pump", name: "Pump", present: present === "pump" },
    ...(hasStill || present === "still"
      ? [{ href: "/water/still", name: "Still water", present: present === "still" }]
      : []),
    { href: "/water/supply", name: "Supply", present: present === "supply" },
    { href: "/water/quality", name: "Quality", present: present === "quality" },
  ];
}
