import type { SheetTab } from "@/ui/Station";

export function roundTabs(present: "today" | "log"): SheetTab[] {
  return [
    { href: "/round", name: "Today", present: present === "today" },
    { href: "/round/log", name: "Log", present: present === "log" },
  ];
}
