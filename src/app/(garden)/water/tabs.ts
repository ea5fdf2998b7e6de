import type { SheetTab } from "@/ui/Station";

export function waterTabs(present: "ladder" | "lines" | "pump" | "supply"): SheetTab[] {
  return [
    { href: "/water", name: "Ladder", present: present === "ladder" },
    { href: "/water/lines", name: "Drip lines", present: present === "lines" },
    { href: "/water/pump", name: "Pump", present: present === "pump" },
    { href: "/water/supply", name: "Supply", present: present === "supply" },
  ];
}
