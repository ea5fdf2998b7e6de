/** What a crop is sold by: heads and bunches are whole, what is weighed can be given in parts. */
export interface HarvestUnit {
  readonly id: number;
  readonly name: string;
  /** Whether a part of one can be given: 0.9 kg, but never 0.9 heads. */
  readonly divisible: boolean;
}

/** What a new garden begins with. */
export const COMMON_UNITS: readonly Omit<HarvestUnit, "id">[] = [
  { name: "heads", divisible: false },
  { name: "bunches", divisible: false },
  { name: "pieces", divisible: false },
  { name: "pots", divisible: false },
  { name: "punnets", divisible: false },
  { name: "trays", divisible: false },
  { name: "bags", divisible: false },
  { name: "kg", divisible: true },
  { name: "g", divisible: true },
  { name: "lb", divisible: true },
  { name: "oz", divisible: true },
];
