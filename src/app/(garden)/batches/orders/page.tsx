import type { Metadata } from "next";
import { sownForAlone } from "@/core/batches/unfitting";
import { ordersAhead } from "@/core/garden/ahead";
import { counted } from "@/core/units/format";
import { OrdersSheet } from "@/features/batches/OrdersSheet";
import { seasonWithFacts } from "@/server/round/today";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "Orders" };

export default async function OrdersPage() {
  const worked = await seasonWithFacts();
  const { garden: rows, who } = worked;
  return (
    <Station
      title="Orders"
      facts={`${counted(rows.orders.length, "standing order")} of ${counted(rows.customers.length, "customer")}`}
      tabs={batchTabs("orders")}
    >
      <OrdersSheet
        orders={rows.orders}
        ahead={ordersAhead(worked)}
        customers={rows.customers}
        varieties={rows.varieties.map(({ id, name, unit }) => ({ id, name, unit: unit.name }))}
        areas={rows.growingAreas.map(({ id, name }) => ({ id, name }))}
        today={who.today}
        alone={Object.fromEntries(rows.orders.map(({ id }) => [id, sownForAlone(worked.plan, id)]))}
      />
    </Station>
  );
}
