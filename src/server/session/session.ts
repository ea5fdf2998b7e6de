import { cache } from "react";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { Day } from "@/core/units/day";
import { maybeOne, pool } from "../db/pool";
import { today } from "./clock";

/** Who asks, for which garden, and on what day. Every query and command gets its garden from here. */
export interface Session {
  readonly gardenId: number;
  readonly gardenName: string;
  readonly isDemo: boolean;
  readonly personId: number;
  readonly personName: string;
  readonly units: UnitPreferences;
  readonly today: Day;
  readonly timeZone: string;
  readonly sowWeekdays: readonly number[];
}

interface SessionRow {
  gardenId: number;
  gardenName: string;
  isDemo: boolean;
  personId: number;
  personName: string;
  system: UnitPreferences["system"];
  ec: UnitPreferences["ec"];
  temperature: UnitPreferences["temperature"];
  currency: string;
  timeZone: string;
  sowWeekdays: number[];
}

/**
 * The session of this request. There is one garden and its keeper works in it: sign-in, roles and a person's several
 * gardens take their place here and nowhere else.
 */
export const session = cache(async (): Promise<Session> => {
  const row = await maybeOne<SessionRow>(
    pool(),
    `select garden.id as "gardenId", garden.name as "gardenName", is_demo as "isDemo",
            person.id as "personId", person.name as "personName",
            unit_system as system, ec_unit as ec, temperature_unit as temperature, currency,
            time_zone as "timeZone", sow_weekdays as "sowWeekdays"
       from garden join person on person.garden_id = garden.id and person.role = 'keeper'
      order by garden.id, person.id limit 1`,
  );
  if (!row) throw new Error("There is no garden yet: run `npm run demo` once to load the demo garden.");
  const { system, ec, temperature, currency, ...rest } = row;
  return { ...rest, units: { system, ec, temperature, currency }, today: today(row.timeZone) };
});
