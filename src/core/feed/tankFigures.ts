import type { Dimension } from "../units/dimensions";
import type { MeterQuantity } from "../units/slips";

/** The figures of a tank. What was not read is null. */
export interface TankFigures {
  readonly ecMsPerCm: number | null;
  readonly ph: number | null;
  readonly waterC: number | null;
  readonly levelL: number | null;
  /** Few have a meter for it; readings of before do not tell it. */
  readonly oxygenMgPerL?: number | null;
}

export type TankFigure = keyof TankFigures;

interface FigureDescription {
  readonly name: TankFigure;
  readonly label: string;
  readonly dimension: Dimension;
  readonly least: number;
  readonly greatest: number;
  /** Column of the database and of files. */
  readonly column: string;
  /** A likely slip of unit in it can be noticed. */
  readonly meter?: MeterQuantity;
  /** A reading is whole without it. */
  readonly optional?: true;
}

/** The figures of a reading, described once: forms, checks, the log, files and the database follow. */
export const TANK_FIGURES: readonly FigureDescription[] = [
  { name: "ecMsPerCm", label: "EC", dimension: "ec", least: 0, greatest: 20, column: "ec_ms_per_cm", meter: "ec" },
  { name: "ph", label: "pH", dimension: "ph", least: 0, greatest: 14, column: "ph", meter: "ph" },
  {
    name: "waterC",
    label: "Temperature",
    dimension: "temperature",
    least: -5,
    greatest: 60,
    column: "water_c",
    meter: "waterC",
  },
  { name: "levelL", label: "Level", dimension: "volume", least: 0, greatest: 1_000_000, column: "level_l" },
  {
    ...{ name: "oxygenMgPerL", label: "Oxygen", dimension: "concentration", least: 0, greatest: 40 },
    ...{ column: "oxygen_mg_per_l", optional: true },
  },
];

/** The figures of a reading out of more that is known of it; what is missing is null. */
export function figuresOf(row: Readonly<Partial<Record<TankFigure, unknown>>>): Required<TankFigures> {
  const of = (name: TankFigure) => (typeof row[name] === "number" ? row[name] : null);
  return {
    ecMsPerCm: of("ecMsPerCm"),
    ph: of("ph"),
    waterC: of("waterC"),
    levelL: of("levelL"),
    oxygenMgPerL: of("oxygenMgPerL"),
  };
}
