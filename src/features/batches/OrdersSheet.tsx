"use client";
import { PageLink } from "@/ui/PageLink";
import { dayInWords, WEEKDAYS, type Day } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import type { OrderAhead } from "@/core/garden/ahead";
import type { OrderRow } from "@/core/garden/garden";
import { unmetWords, type DeliveryNames } from "./words";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { useOpened } from "@/features/frame/drafts";
import { Only, useMay } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const OrderForm = later(() => import("./OrderForm").then((part) => part.OrderForm));
const CustomerForm = later(() => import("./OrderForm").then((part) => part.CustomerForm));

export interface OrdersSheetProps {
  readonly orders: readonly OrderRow[];
  readonly ahead: readonly OrderAhead[];
  readonly customers: readonly { readonly id: number; readonly name: string }[];
  readonly varieties: readonly { readonly id: number; readonly name: string; readonly unit: string }[];
  readonly areas: readonly { readonly id: number; readonly name: string }[];
  readonly today: Day;
  /** Batches still to be sown that an order alone takes from, by the order. */
  readonly alone: Readonly<Record<number, readonly number[]>>;
}

/** Standing orders by weekday, and how far the plan meets each. */
export function OrdersSheet({ orders, ahead, customers, varieties, areas, today, alone }: OrdersSheetProps) {
  const [editing, setEditing] = useOpened<number | "new" | "customer">("orders");
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
            disabled={customers.length === 0 || varieties.length === 0}
            onClick={() => setEditing("new")}
          >
            New order
          </Button>
          <Button onClick={() => setEditing("customer")}>New customer</Button>
        </Only>
      </div>
      {orders.length === 0 && (
        <Empty
          title="No order yet"
          example="For instance 24 heads of Batavia lettuce for the quay stall, every Saturday until the end of the season. First enter the customer, then the order; batches follow from it."
        />
      )}
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-2 wide:grid-cols-3">
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
                    areas={areas}
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
        title={editing === "customer" ? "New customer" : editing === "new" ? "New order" : "Change the order"}
      >
        {editing === "customer" ? (
          <CustomerForm onDone={close} />
        ) : (
          editing !== null && (
            <OrderForm
              order={orders.find(({ id }) => id === editing) ?? null}
              customers={customers}
              varieties={varieties}
              today={today}
              alone={typeof editing === "number" ? (alone[editing] ?? []) : []}
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
  areas,
  onEdit,
}: {
  order: OrderRow;
  ahead: OrderAhead | undefined;
  variety: { name: string; unit: string } | undefined;
  areas: OrdersSheetProps["areas"];
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
          aria-label={`Change ${variety?.name} for ${order.customerName}, ${WEEKDAYS[order.weekday - 1]}`}
          onClick={onEdit}
        >
          {variety?.name}
        </button>
        <p className="figure !text-xl">
          {formatNumber(order.quantity, 2)} <small>{variety?.unit}</small>
        </p>
      </div>
      <p className="text-sm text-soft">
        {order.customerName}
        {met ? " · " : <br />}
        <span className={met ? "text-leaf" : "font-bold text-alarm"}>
          <Why
            label={`${variety?.name ?? ""} for ${order.customerName}`}
            how="Each market day of the order is met from the batches that are ready then, the oldest first, shared with the other orders of that day; a day is not met when they give too little, when their plants have no site, or when they should have been sown by now."
          >
            {metWords(order, ahead, {
              unit: variety?.unit ?? "",
              area: (id) => areas.find((one) => one.id === id)?.name ?? "",
            })}
          </Why>
        </span>
        {!met && mayPlan && (
          <PageLink className="no-print ml-2 inline-block min-h-8 text-ink underline" href="/batches/plan">
            plan the season
          </PageLink>
        )}
      </p>
    </li>
  );
}

function metWords(order: OrderRow, ahead: OrderAhead | undefined, names: DeliveryNames): string {
  if (!ahead || ahead.days === 0) return `ended ${dayInWords(order.to, "year")}`;
  if (!ahead.first) return `met to ${dayInWords(order.to, "year")}`;
  const { day, state } = ahead.first;
  const why = state.kind === "met" ? "" : unmetWords(state, names);
  return `${ahead.missed} of ${counted(ahead.days, "day")} not met, first ${dayInWords(day)}: ${why}`;
}
