import type { SheetTab } from "@/ui/Station";

export function placeTabs(present: "plan" | "layouts" | "bench"): SheetTab[] {
  return [
    { href: "/place", name: "Plan", present: present === "plan" },
    { href: "/place/layouts", name: "What if", present: present === "layouts" },
    { href: "/place/bench", name: "Bench", present: present === "bench" },
  ];
}
