import type { SheetTab } from "@/ui/Station";

export function peopleTabs(present: "members" | "garden" | "examples" | "history" | "you"): SheetTab[] {
  return [
    { href: "/people", name: "Members", present: present === "members" },
    { href: "/people/garden", name: "Garden", present: present === "garden" },
    { href: "/people/examples", name: "Examples", present: present === "examples" },
    { href: "/people/history", name: "History", present: present === "history" },
    { href: "/people/you", name: "You", present: present === "you" },
  ];
}
