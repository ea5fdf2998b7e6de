import type { SheetTab } from "@/ui/Station";

export function growthTabs(present: "crops" | "sowing" | "climate"): SheetTab[] {
  return [
    { href: "/growth", name: "Crops", present: present === "crops" },
    { href: "/growth/sowing", name: "Sowing", present: present === "sowing" },
    { href: "/growth/climate", name: "Climate", present: present === "climate" },
  ];
}
