import type { SheetTab } from "@/ui/Station";

export function batchTabs(present: "season" | "weeks" | "plan" | "orders" | "balance" | "what-if"): SheetTab[] {
  return [
    { href: "/batches", name: "Season", present: present === "season" },
    { href: "/batches/weeks", name: "Weeks", present: present === "weeks" },
    { href: "/batches/orders", name: "Orders", present: present === "orders" },
    { href: "/batches/plan", name: "Plan", present: present === "plan" },
    { href: "/batches/balance", name: "Balance", present: present === "balance" },
    { href: "/batches/what-if", name: "What if", present: present === "what-if" },
  ];
}
