import type { SheetTab } from "@/ui/Station";

export function roundTabs(present: "today" | "answers" | "log"): SheetTab[] {
  return [
    { href: "/round", name: "Today", present: present === "today" },
    { href: "/round/answers", name: "Quick answers", present: present === "answers" },
    { href: "/round/log", name: "Log", present: present === "log" },
  ];
}
