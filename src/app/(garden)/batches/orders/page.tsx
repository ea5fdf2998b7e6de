import type { Metadata } from "next";
import { OrdersSheet } from "@/features/batches/OrdersSheet";
import { season } from "@/server/batches/season";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "Orders" };

export default async function OrdersPage() {
  const { rows, plan, who } = await season();
  const ahead = rows.orders.map((order) => {
    const days = plan.deliveries.filter((delivery) => delivery.orderId === order.id && delivery.day >= who.today);
    const missed = days.filter((delivery) => delivery.wanted - delivery.given > 1e-6);
    const first = missed[0];
    return {
      orderId: order.id,
      days: days.length,
      missed: missed.length,
      first: first ? { day: first.day, missing: first.wanted - first.given } : null,
    };
  });
  return (
    <Station
      title="Orders"
      facts={`${rows.orders.length} standing orders of ${rows.outlets.length} outlets`}
      tabs={batchTabs("orders")}
    >
      <OrdersSheet
        orders={rows.orders}
        ahead={ahead}
        outlets={rows.outlets}
        varieties={rows.varieties.map(({ id, name, unit }) => ({ id, name, unit }))}
        today={who.today}
      />
    </Station>
  );
}
