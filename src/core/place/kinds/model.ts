import type { Dimension } from "../../units/dimensions";
import type { StandFactKind, StandFinding, StandWaterHow } from "../findings";

/** A rectangle in metres. */
export interface RectM {
  readonly xM: number;
  readonly yM: number;
  readonly lengthM: number;
  readonly widthM: number;
}

export interface PointM {
  readonly xM: number;
  readonly yM: number;
}

/** Where everything of a stand lies, before it is placed or turned: x along the lines, y across them. */
export interface StandLayout {
  readonly lengthM: number;
  readonly widthM: number;
  /** Lines seen from above. Trays of lower shelves lie under those of the top one. */
  readonly lines: readonly RectM[];
}

/** A figure of a kind of its own. */
export interface StandFact {
  readonly kind: StandFactKind;
  readonly value: number;
  readonly dimension: Dimension;
  /** Of shade at noon: the month, 0 for January, and how high the sun is then. */
  readonly noon?: { readonly month: number; readonly elevationDeg: number };
}

export interface StandCounts {
  readonly lines: number;
  readonly sitesPerLine: number;
  readonly sites: number;
  /** Ground of one line by itself. */
  readonly lineAreaM2: number;
  /** Length left over at the end of each line, where there is one pitch to speak of. */
  readonly slackM: number | null;
  /** The pitch that would use the slack up. */
  readonly evenedPitchM: number | null;
  readonly facts: readonly StandFact[];
  readonly warnings: readonly StandFinding[];
}

export interface StandWater {
  /** Litres held in all lines while nothing runs. */
  readonly heldL: number;
  /** Litres on their way that run back into the tank when the pump stops. */
  readonly drainBackL: number;
  readonly how: StandWaterHow;
}

/** What the lines of a stand want of their loop. */
export interface LineFlow {
  /** Flow that one line wants while it is open, L/h; 0 where there is no plumbing. */
  readonly lineFlowLph: number;
  readonly linesPerValve: number;
  /** Lines that one flow goes through, one after another; 1 unless said. */
  readonly linesPerRun?: number;
  /** Drip emitters give at most their nominal flow; open spigots share whatever the pump brings. */
  readonly limited: boolean;
}

/** A size by which a material is bought. */
export interface MaterialSize {
  readonly value: number;
  readonly dimension: Dimension;
}

/** So many of something that a stand is built from. */
export interface MaterialNeed {
  /** The same for the same thing, so that stands add up and the shelf is found again: `net-cup:50`. */
  readonly id: string;
  readonly what: string;
  readonly sizes: readonly MaterialSize[];
  readonly quantity: number;
  readonly unit: "pieces" | "m" | "m²" | "L";
}

interface MeasureCommon {
  /** Name in the specification, its unit included: `pitchM`. */
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
}

/** A number of a stand's specification with its range, in the inside unit of its dimension. */
export interface NumberMeasure extends MeasureCommon {
  readonly type: "number";
  readonly dimension: Dimension;
  readonly least: number;
  readonly greatest: number;
  readonly whole?: true;
  /** What is taken where nothing is said of it: in files and sets of before it was asked. */
  readonly initial?: number | null;
  /** Must not be more than so many times another measure. */
  readonly atMost?: { readonly measure: string; readonly times: number; readonly words: string };
  /** Must not be less than another measure, or than so much more. */
  readonly atLeast?: { readonly measure: string; readonly plus?: number; readonly words: string };
}

/** Several numbers of one kind: one for each month, the times of a timer. */
export interface NumbersMeasure extends MeasureCommon {
  readonly type: "numbers";
  readonly dimension: Dimension;
  readonly least: number;
  readonly greatest: number;
  readonly fewest: number;
  readonly most: number;
}

export interface ChoiceMeasure extends MeasureCommon {
  readonly type: "choice";
  /** Stored is the value; a value without a label is its own. */
  readonly options: readonly string[];
  readonly labels?: Readonly<Record<string, string>>;
}

/** Rows of a few columns: zones of a line, parts of a mix. */
export interface ListMeasure extends MeasureCommon {
  readonly type: "list";
  readonly least?: number;
  readonly most: number;
  /** A column whose number rises from row to row. */
  readonly rising?: string;
  readonly columns: readonly (NumberMeasure | (MeasureCommon & { readonly type: "text" }))[];
  readonly fresh: Readonly<Record<string, number | string>>;
  readonly addWords: string;
}

/** What a kind of stand is measured by; forms, checks, files and their schema are made from it. */
export type Measure =
  NumberMeasure | NumbersMeasure | ChoiceMeasure | ListMeasure | (MeasureCommon & { readonly type: "switch" });

/** Which measure grows when the stand is pulled longer or wider: a length, or a count of equal parts. */
export interface Stretch {
  readonly measure: string;
  readonly by: "length" | "count";
}

/** What is round a stand. */
export interface StandSurroundings {
  readonly latitudeDeg: number;
  /** Names of root crops that spend a stage in the stand's growing area. */
  readonly rootCrops: readonly string[];
}

/** A kind of stand: what it is called, measured by, made of, and how it counts. */
export interface StandModel<Spec> {
  readonly words: {
    readonly name: string;
    readonly line: string;
    readonly site: string;
    readonly about: string;
    /** Where a hand could be hurt: in one line, and what is behind it. */
    readonly caution?: readonly [short: string, more: string];
  };
  /** Plants of one family should not follow one another on its sites. */
  readonly rotates?: true;
  /** Root crops have no room in it. */
  readonly noRootCrops?: true;
  /** Measures that work, to take and change. */
  readonly example: Spec;
  readonly measures: readonly Measure[];
  readonly stretch: { readonly along: Stretch; readonly across: Stretch };
  readonly counts: (spec: Spec) => StandCounts;
  readonly layout: (spec: Spec) => StandLayout;
  /** Sites of one line in the line's own rectangle. */
  readonly sitePoints: (spec: Spec) => readonly PointM[];
  readonly flow: (spec: Spec) => LineFlow;
  readonly water: (spec: Spec) => StandWater;
  readonly materials: (spec: Spec) => readonly MaterialNeed[];
  /** Whether a line is seen from above; without it every line is. */
  readonly isInSight?: (spec: Spec, line: number) => boolean;
  /** Several lines in words; without it their numbers, runs drawn together. */
  readonly linesWords?: (spec: Spec, lines: readonly number[]) => string;
  /** Doubts and figures that the measures alone do not tell. */
  readonly checks?: (
    spec: Spec,
    around: StandSurroundings,
  ) => { readonly warnings: readonly StandFinding[]; readonly facts: readonly StandFact[] };
  /** Its sites are for young plants or trays: nothing grows up there. */
  readonly forYoungPlants?: true;
  /** What a person calls a line; without it the word of the kind and its number. */
  readonly lineLabel?: (spec: Spec, line: number) => string;
}
