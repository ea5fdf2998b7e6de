import { harvestFromSites, WEEKLY } from "../../batches/littlesLaw";
import { daysByMonthAt, type LibraryStage } from "../../growth/library/crop";
import { modelOf } from "../../place/kinds";
import { standCounts } from "../../place/standCounts";
import { standFlow } from "../../place/standFlow";
import { requireRange } from "../../units/range";
import { timerMinutes, type TimerProgram } from "../../water/timer";
import { loopPipes } from "../loopPipes";
import { tryPump, type PumpTrial } from "../pumpTrial";
import type { SetUp } from "./setUp";

/** What a line of a stand gets, and what is usual. */
export interface LineGets {
  readonly stand: string;
  readonly lines: number;
  readonly getsLph: number;
  readonly wantsLph: number;
  /** Litres that pass a plant in a day; drip emitters give that much, films and towers let it run on. */
  readonly perPlantLpd: number;
  /** Drip: what is given is what it gets. */
  readonly limited: boolean;
}

export interface SetUpFigures {
  readonly young: number;
  readonly toFinish: number;
  readonly trays: number;
  /** Null without a pump, or where nothing is plumbed. */
  readonly pump: Pick<PumpTrial, "verdict" | "measureIt"> | null;
  readonly lines: readonly LineGets[];
}

/** The first answers to what somebody has got, its pump on all its pipes and lines, every line open. */
export function setUpFigures(made: SetUp, timer: TimerProgram): SetUpFigures {
  const { stands } = made;
  const sites = (of: SetUp["stands"]) => of.reduce((sum, { spec }) => sum + standCounts(spec).sites, 0);
  const onTrays = stands.filter(({ spec }) => spec.kind === "shoots-rack");
  const isYoung = ({ young, spec }: SetUp["stands"][number]) => young || Boolean(modelOf(spec).forYoungPlants);
  const plants = stands.filter(({ spec }) => spec.kind !== "shoots-rack");
  const piped = stands.map(({ name, spec }, id) => ({ id, name, spec }));
  const pipes = loopPipes({ pump: made.pump }, piped);
  const pump = pipes && made.pump ? tryPump(pipes, made.pump, () => true, 0) : null;
  const shareOf = (id: number) =>
    pump
      ? Math.min(...pump.low.banks.flatMap(({ bank, share }) => (bank.standId === id && share !== null ? [share] : [])))
      : 1;
  const minutes = timerMinutes(timer);
  return {
    young: sites(plants.filter(isYoung)),
    toFinish: sites(plants.filter((stand) => !isYoung(stand))),
    trays: sites(onTrays),
    pump,
    lines: piped.flatMap(({ id, name, spec }): LineGets[] => {
      const { feeds, lineFlowLph, sitesPerFeed, limited } = standFlow(spec);
      if (lineFlowLph === 0 || sitesPerFeed === 0) return [];
      const getsLph = lineFlowLph * shareOf(id);
      return [
        {
          stand: name,
          lines: feeds,
          getsLph,
          wantsLph: lineFlowLph,
          perPlantLpd: ((getsLph / sitesPerFeed) * minutes) / 60,
          limited,
        },
      ];
    }),
  };
}

/**
 * A week's harvest of a crop from so many sites in the brightest and in the darkest month, one batch a week.
 *
 * @param sites where it finishes, 0–10 000 000
 * @param latitudeDeg −90 to 90
 * @returns plants a week
 * @throws RangeError when an argument is outside its range
 * @source Little's law in whole batches; days of the crop library
 */
export function harvestOverYear(
  sites: number,
  crop: { readonly stages: readonly Pick<LibraryStage, "days" | "survival">[] },
  latitudeDeg: number,
): { readonly brightest: number; readonly darkest: number } {
  requireRange("harvestOverYear", "sites", sites, 0, 10_000_000);
  const { days, survival } = crop.stages.at(-1)!;
  const byMonth = daysByMonthAt(days, latitudeDeg);
  const at = (stay: number) => Math.floor(harvestFromSites(sites, stay / 7, { ...WEEKLY, survival }).harvestPerWeek);
  return { brightest: at(Math.min(...byMonth)), darkest: at(Math.max(...byMonth)) };
}
