import type { Band, LibraryStage } from "../../growth/library/crop";
import type { UnitPreferences } from "../../units/dimensions";
import type { Row } from "../changes";
import type { Setup } from "../setup/told";

/** A crop of an example: one of the library, with what this garden does otherwise. */
export interface ExampleCrop {
  readonly library: string;
  /** Fields of the variety that differ. */
  readonly own?: Row;
  /** Stages with their days as this garden has learned them, in place of the library's. */
  readonly days?: Partial<Record<LibraryStage["name"], Band>>;
  /** Plants that stand there without an order, sown so many days ago. */
  readonly growing?: { readonly plants: number; readonly daysOld: number };
}

export interface ExampleOrder {
  readonly customer: string;
  readonly crop: string;
  /** 1 Monday … 7 Sunday. */
  readonly weekdays: readonly number[];
  readonly quantity: number;
}

/** A small garden of our own invention, to be opened, looked through and copied from. */
export interface ExampleGarden {
  readonly name: string;
  readonly about: string;
  readonly water: string;
  readonly wanted: string;
  readonly place: string;
  readonly latitudeDeg: number;
  readonly timeZone: string;
  readonly units: UnitPreferences;
  readonly sowWeekdays: readonly number[];
  readonly setup: Setup;
  /** What differs from what a setup makes, by table; all rows of it. */
  readonly loop?: Row;
  readonly source: Row;
  readonly store?: Row;
  /** What its weather is like, month by month. */
  readonly climate: Row;
  /** Of each salt on the shelf. */
  readonly shelfG?: number;
  /** A recipe of the library, or none where a bottle or a bag is dosed by its label. */
  readonly recipe: string | null;
  readonly crops: readonly ExampleCrop[];
  readonly orders: readonly ExampleOrder[];
  /** A catch-can test of the stand of that name, line by line from 1, mL under each emitter. */
  readonly cans?: {
    readonly stand: string;
    readonly line: number;
    readonly durationS: number;
    readonly volumesMl: readonly number[];
  };
  /** What the growers write down. */
  readonly notes: readonly string[];
}
