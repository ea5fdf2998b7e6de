import type { SheetTab } from "@/ui/Station";

export function growthTabs(present: "crops" | "sowing" | "propagation" | "shoots" | "climate" | "trials"): SheetTab[] {
  return [
    { href: "/growth", name: "Crops", present: present === "crops" },
    { href: "/growth/sowing", name: "Sowing", present: present === "sowing" },
    { href: "/growth/propagation", name: "Propagation", present: present === "propagation" },
    { href: "/growth/shoots", name: "Shoots", present: present === "shoots" },
    { href: "/growth/climate", name: "Climate", present: present === "climate" },
    { href: "/growth/trials", name: "Trials", present: present === "trials" },
  ];
}
