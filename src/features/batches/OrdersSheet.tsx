"use client";
import Link from "next/link";
import { dayInWords, WEEKDAYS, type Day } from "@/core/units/day";
import { formatNumber } from "@/core/units/format";
import type { OrderRow } from "@/server/batches/queries";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { useOpened } from "@/ui/drafts";
import { Only, useMay } from "@/ui/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const OrderForm = later(() => import("./OrderForm").then((part) => part.OrderForm));
const OutletForm = later(() => import("./OrderForm").then((part) => part.OutletForm));

interface Ahead {
  readonly orderId: number;
  readonly days: number;
  readonly missed: number;
  readonly first: { readonly day: Day; readonly missing: number } | null;
}

export interface OrdersSheetProps {
  readonly orders: readonly OrderRow[];
  readonly ahead: readonly Ahead[];
  readonly outlets: readonly { readonly id: number; readonly name: string }[];
  readonly varieties: readonly { readonly id: number; readonly name: string; readonly unit: string }[];
  readonly today: Day;
}

/** Standing orders by weekday, and how far the plan meets each. */
export function OrdersSheet({ orders, ahead, outlets, varieties, today }: OrdersSheetProps) {
  const [editing, setEditing] = useOpened<number | "new" | "outlet">("orders");
  const close = () => setEditing(null);
  const weekdays = [1, 2, 3, 4, 5, 6, 7].filter((weekday) => orders.some((order) => order.weekday === weekday));
  const variety = (id: number) => varieties.find((candidate) => candidate.id === id);
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap gap-2">
        <Only right="plan">
          <Button
            look="strong"
            data-key="n"
            disabled={outlets.length === 0 || varieties.length === 0}
            onClick={() => setEditing("new")}
          >
            New order
          </Button>
          <Button onClick={() => setEditing("outlet")}>New outlet</Button>
        </Only>
      </div>
      {orders.length === 0 && (
        <Empty
          title="No order yet"
          example="For instance 24 heads of Batavia lettuce for the quay stall, every Saturday until the end of the season. First enter the outlet, then its order; batches follow from it."
        />
      )}
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-2 xl:grid-cols-3">
        {weekdays.map((weekday) => (
          <section key={weekday}>
            <h2 className="border-b-2 border-ink pb-1 text-2xl">{WEEKDAYS[weekday - 1]}</h2>
            <ul>
              {orders
                .filter((order) => order.weekday === weekday)
                .map((order) => (
                  <OrderLine
                    key={order.id}
                    order={order}
                    ahead={ahead.find((entry) => entry.orderId === order.id)}
                    variety={variety(order.varietyId)}
                    onEdit={() => setEditing(order.id)}
                  />
                ))}
            </ul>
          </section>
        ))}
      </div>
      <Drawer
        open={editing !== null}
        onClose={close}
        title={editing === "outlet" ? "New outlet" : editing === "new" ? "New order" : "Change the order"}
      >
        {editing === "outlet" ? (
          <OutletForm onDone={close} />
        ) : (
          editing !== null && (
            <OrderForm
              order={orders.find(({ id }) => id === editing) ?? null}
              outlets={outlets}
              varieties={varieties}
              today={today}
              onDone={close}
            />
          )
        )}
      </Drawer>
    </>
  );
}

function OrderLine({
  order,
  ahead,
  variety,
  onEdit,
}: {
  order: OrderRow;
  ahead: Ahead | undefined;
  variety: { name: string; unit: string } | undefined;
  onEdit: () => void;
}) {
  const mayPlan = useMay("plan");
  const met = !ahead || ahead.missed === 0;
  return (
    <li className="border-b border-rule py-1">
      <div className="flex items-baseline justify-between gap-2">
        <button
          type="button"
          disabled={!mayPlan}
          className="sign min-h-8 text-left text-xl underline decoration-rule decoration-2 underline-offset-4 disabled:no-underline"
          aria-label={`Change ${variety?.name} for ${order.outletName}, ${WEEKDAYS[order.weekday - 1]}`}
          onClick={onEdit}
        >
          {variety?.name}
        </button>
        <p className="figure !text-xl">
          {formatNumber(order.quantity, 2)} <small>{variety?.unit}</small>
        </p>
      </div>
      <p className="text-sm text-soft">
        {order.outletName} ·{" "}
        <span className={met ? "text-leaf" : "font-bold text-alarm"}>
          <Why
            label={`${variety?.name ?? ""} for ${order.outletName}`}
            how="Each market day of the order is met from the batches that are ready then, the oldest first, shared with the other orders of that day; what is missing is what they do not give."
          >
            {metWords(order, ahead)}
          </Why>
        </span>
        {!met && mayPlan && (
          <>
            {" · "}
            <Link
              className="no-print inline-block min-h-8 text-ink underline"
              href={`/batches?cover=${order.varietyId}`}
            >
              cover it
            </Link>
          </>
        )}
      </p>
    </li>
  );
}

function metWords(order: OrderRow, ahead: Ahead | undefined): string {
  if (!ahead || ahead.days === 0) return `over since ${dayInWords(order.to, "year")}`;
  if (!ahead.first) return `met to ${dayInWords(order.to, "year")}`;
  return `${ahead.missed} of ${ahead.days} days short, first ${dayInWords(ahead.first.day)} by ${formatNumber(ahead.first.missing, 1)}`;
}
