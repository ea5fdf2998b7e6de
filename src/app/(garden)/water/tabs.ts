import type { SheetTab } from "@/ui/Station";

export function waterTabs(present: "ladder" | "supply"): SheetTab[] {
  return [
    { href: "/water", name: "Ladder", present: present === "ladder" },
    { href: "/water/supply", name: "Supply", present: present === "supply" },
  ];
}
