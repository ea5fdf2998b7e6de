import type { PlaceKind, Setup } from "@/core/garden/setup/told";
import { number } from "@/core/place/kinds/shared";
import { toldKind, type ToldKindName } from "@/core/place/told/kinds";
import type { UnitPreferences } from "@/core/units/dimensions";
import {
  leaveBlank,
  spokenText,
  startBlanks,
  typeBlank,
  type BlankMeasure,
  type BlankState,
} from "@/features/frame/blank/blanks";
import { TIMER_FIRST, TIMER_MEASURES, timerOf, type TimerMode } from "@/features/frame/blank/timerBlanks";
import { toldMeasures } from "@/features/frame/blank/toldTemplates";

/** Stands of one kind, while they are told. */
export interface StandLine {
  readonly key: number;
  readonly kind: ToldKindName;
  readonly young: boolean;
}

/** The sentences that have blanks: those of the place, the tank, the pump, the timer, and one for each sort of stand. */
export type SentenceName = "place" | "tank" | "pump" | "timer" | `stand ${number}`;

export interface SetupState {
  readonly placeKind: PlaceKind;
  readonly name: string;
  readonly lines: readonly StandLine[];
  readonly timerMode: TimerMode;
  readonly blanks: Readonly<Record<string, BlankState>>;
  readonly units: UnitPreferences;
}

type PumpLabel = NonNullable<Setup["pump"]>;

const optional = <Measure extends BlankMeasure>(measure: Measure) => ({ ...measure, optional: true as const });

const PLACE = [
  optional(number("lengthM", "Length", "length", 0.3, 500)),
  optional(number("widthM", "Width", "length", 0.2, 500)),
];
const TANK = [
  optional(number("litres", "Tank", "volume", 1, 1_000_000)),
  number("underOutletsM", "Under the outlets", "length", -20, 100),
];
const PUMP = [
  optional(number("flowAtNoLiftLph", "Flow at no lift", "flow", 1, 1_000_000)),
  optional(number("greatestLiftM", "Greatest lift", "length", 0.05, 500)),
];

/** What the blanks of a sentence ask for. */
export function measuresOf(state: Pick<SetupState, "lines" | "timerMode">, name: string): readonly BlankMeasure[] {
  switch (name) {
    case "place":
      return PLACE;
    case "tank":
      return TANK;
    case "pump":
      return PUMP;
    case "timer":
      return TIMER_MEASURES[state.timerMode];
    default: {
      const line = state.lines.find(({ key }) => name === `stand ${key}`);
      return line ? toldMeasures(line.kind, line.kind === "buckets") : [];
    }
  }
}

/** Nothing told yet. */
export function startSetup(units: UnitPreferences, placeKind: PlaceKind = "film tunnel"): SetupState {
  const empty: SetupState = { placeKind, name: "", lines: [], timerMode: "continuous", blanks: {}, units };
  const us = units.system === "us";
  const begin = (name: string, texts: Readonly<Record<string, string>>) => [
    name,
    startBlanks(measuresOf(empty, name), texts, units),
  ];
  return {
    ...empty,
    blanks: Object.fromEntries([
      begin("place", { lengthM: "", widthM: "" }),
      begin("tank", { litres: "", underOutletsM: us ? "2 ft" : "0.6 m" }),
      begin("pump", { flowAtNoLiftLph: "", greatestLiftM: "" }),
      begin("timer", {}),
    ]),
  };
}

/** One more sort of stands, with round figures to begin with. */
export function addStands(state: SetupState, kind: ToldKindName): SetupState {
  const key = Math.max(0, ...state.lines.map((line) => line.key)) + 1;
  const told = toldKind(kind);
  const texts = Object.fromEntries(
    told.measures.map(({ name, dimension }) => [
      name,
      spokenText(told.first[state.units.system][name]!, dimension, state.units),
    ]),
  );
  const line = { key, kind, young: kind === "seedTrays" };
  const lines = [...state.lines, line];
  const name = `stand ${key}`;
  return {
    ...state,
    lines,
    blanks: { ...state.blanks, [name]: startBlanks(measuresOf({ ...state, lines }, name), texts, state.units) },
  };
}

export function removeStands(state: SetupState, key: number): SetupState {
  const { [`stand ${key}`]: _gone, ...blanks } = state.blanks;
  return { ...state, lines: state.lines.filter((line) => line.key !== key), blanks };
}

export function setYoung(state: SetupState, key: number, young: boolean): SetupState {
  return { ...state, lines: state.lines.map((line) => (line.key === key ? { ...line, young } : line)) };
}

export function setTimerMode(state: SetupState, timerMode: TimerMode): SetupState {
  const next = { ...state, timerMode };
  const timer = startBlanks(measuresOf(next, "timer"), TIMER_FIRST[timerMode], state.units);
  return { ...next, blanks: { ...state.blanks, timer } };
}

/** Something is typed into a blank of a sentence. */
export function typeInto(state: SetupState, sentence: string, name: string, text: string): SetupState {
  const next = typeBlank(measuresOf(state, sentence), state.blanks[sentence]!, name, text);
  return { ...state, units: next.units, blanks: { ...state.blanks, [sentence]: next } };
}

/** A common pump is taken: its two figures are filled in. */
export function pickPump(state: SetupState, { flowAtNoLiftLph, greatestLiftM }: PumpLabel): SetupState {
  const flow = typeInto(state, "pump", "flowAtNoLiftLph", spokenText(flowAtNoLiftLph, "flow", state.units));
  return typeInto(flow, "pump", "greatestLiftM", spokenText(greatestLiftM, "length", state.units));
}

export function leaveIn(state: SetupState, sentence: string, name: string): SetupState {
  const next = leaveBlank(measuresOf(state, sentence), state.blanks[sentence]!, name);
  return { ...state, blanks: { ...state.blanks, [sentence]: next } };
}

/** Sentences with something wrong in them. */
export const hasProblems = ({ blanks }: SetupState) =>
  Object.values(blanks).some(({ problems }) => problems.length > 0);

/** What was told so far; of what is wrong at the moment, what stood there before. */
export function setupOf(state: SetupState): Setup {
  const good = (name: string) => state.blanks[name]?.good ?? {};
  const { lengthM = null, widthM = null } = good("place");
  const { litres, underOutletsM = 0.6 } = good("tank");
  const { flowAtNoLiftLph, greatestLiftM } = good("pump");
  return {
    place: { kind: state.placeKind, name: state.name.trim(), lengthM, widthM },
    stands: state.lines.map(({ key, kind, young }) => ({ told: kind, figures: good(`stand ${key}`), young })),
    tank: litres === undefined ? null : { litres, underOutletsM },
    pump:
      flowAtNoLiftLph === undefined || greatestLiftM === undefined || litres === undefined
        ? null
        : { flowAtNoLiftLph, greatestLiftM },
    timer: timerOf(state.timerMode, good("timer")) ?? { kind: "continuous" },
    system: state.units.system,
  };
}
