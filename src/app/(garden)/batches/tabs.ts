import type { SheetTab } from "@/ui/Station";

export function batchTabs(present: "season" | "orders" | "balance"): SheetTab[] {
  return [
    { href: "/batches", name: "Season", present: present === "season" },
    { href: "/batches/orders", name: "Orders", present: present === "orders" },
    { href: "/batches/balance", name: "Balance", present: present === "balance" },
  ];
}
