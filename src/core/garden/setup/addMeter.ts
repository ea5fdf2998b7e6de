import type { Meter } from "../../feed/meters";
import type { Changes, Tables } from "../changes";
import { newRow } from "../edit";
import { METER } from "../entities/feed";
import { freeName } from "./setUp";

/** The id of the new meter. */
export const METER_ID = -1;

/** A common meter as a row of a garden, under a name that is free. */
export function addMeter(tables: Tables, { name, ecScale, compensated }: Meter): Changes {
  const names = new Set(Object.values(tables.meter ?? {}).map((row) => String(row.name)));
  const row = newRow(tables, METER, METER_ID, { name: freeName(name, names), ecScale, compensated });
  return { meter: { added: { [METER_ID]: row }, removed: {}, updated: {} } };
}
