import { standWithMore } from "../../place/oneMore";
import type { StandSpec } from "../../place/stand";
import type { Day } from "../../units/day";
import type { Changes, Json, Row, Tables } from "../changes";

/** Something that would let more of the orders be met; names are those of the day. */
export type Remedy =
  | { readonly kind: "fewer"; readonly orderId: number; readonly name: string; readonly quantity: number }
  /** An order that begins later. */
  | { readonly kind: "later"; readonly orderId: number; readonly name: string; readonly from: Day }
  /** More lines, ponds, racks or towers of a stand. */
  | {
      readonly kind: "sites";
      readonly standId: number;
      readonly name: string;
      readonly more: number;
      readonly sites: number;
    }
  | { readonly kind: "water"; readonly sourceId: number; readonly name: string; readonly litresPerDay: number }
  | { readonly kind: "hours"; readonly hours: number }
  | { readonly kind: "salt"; readonly saltId: number; readonly name: string; readonly grams: number };

/** Money, and units of a crop, below which a remedy is not worth telling. */
export const LEAST_WORTH = 0.5;

/** A remedy with what it would bring by an estimate: money of the whole season, and units of the crop that gains most. */
export interface Tried {
  readonly remedy: Remedy;
  readonly worth: number;
  readonly gains: {
    readonly variety: string;
    readonly unit: string;
    readonly units: number;
    readonly from: Day;
    readonly until: Day;
  } | null;
}

/** The changes of the garden that a remedy is; none where what it changes is gone. */
export function remedyChanges(tables: Tables, remedy: Remedy): Changes {
  switch (remedy.kind) {
    case "fewer":
      return changed(tables, "order_line", remedy.orderId, () => ({ quantity: remedy.quantity }));
    case "later":
      return changed(tables, "order_line", remedy.orderId, ({ from, to }) =>
        // One that is for a single day moves as a whole.
        ({ from: remedy.from, ...(Number(to) < remedy.from && { to: Number(to) + remedy.from - Number(from) }) }),
      );
    case "sites":
      return changed(tables, "stand", remedy.standId, ({ spec }) => ({
        spec: standWithMore(spec as unknown as StandSpec, remedy.more) as unknown as Json,
      }));
    case "water":
      return changed(tables, "source", remedy.sourceId, ({ kind, allowanceLpd, flowLph, hoursPerDay }): Row =>
        kind === "well" && Number(hoursPerDay) > 0
          ? { flowLph: Number(flowLph) + remedy.litresPerDay / Number(hoursPerDay) }
          : { allowanceLpd: Number(allowanceLpd) + remedy.litresPerDay },
      );
    case "hours":
      return Object.keys(tables.season ?? {}).reduce<Changes>(
        (_, id) =>
          changed(tables, "season", Number(id), ({ hoursPerWeek }) => ({
            hoursPerWeek: Number(hoursPerWeek) + remedy.hours,
          })),
        {},
      );
    case "salt":
      return changed(tables, "salt", remedy.saltId, ({ onHandG }) => ({ onHandG: Number(onHandG) + remedy.grams }));
  }
}

function changed(
  tables: Tables,
  table: string,
  id: number,
  fieldsOf: (row: Row) => Readonly<Record<string, Json>>,
): Changes {
  const row = tables[table]?.[id];
  if (!row) return {};
  const fields = Object.entries(fieldsOf(row)).filter(([name, value]) => row[name] !== value);
  if (fields.length === 0) return {};
  const updated = Object.fromEntries(fields.map(([name, value]) => [name, [row[name]!, value] as const]));
  return { [table]: { added: {}, removed: {}, updated: { [id]: updated } } };
}
