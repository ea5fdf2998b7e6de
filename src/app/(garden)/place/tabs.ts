import type { SheetTab } from "@/ui/Station";

export function placeTabs(present: "plan" | "setup" | "bench"): SheetTab[] {
  return [
    { href: "/place", name: "Plan", present: present === "plan" },
    { href: "/place/setup", name: "What have you got?", present: present === "setup" },
    { href: "/place/bench", name: "Bench", present: present === "bench" },
  ];
}
