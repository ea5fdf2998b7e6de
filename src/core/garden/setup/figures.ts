import { harvestFromSites, WEEKLY } from "../../batches/littlesLaw";
import { daysByMonthAt, type LibraryStage } from "../../growth/library/crop";
import { modelOf } from "../../place/kinds";
import { standCounts } from "../../place/standCounts";
import { standFlow } from "../../place/standFlow";
import { requireRange } from "../../units/range";
import { pumpAnswer, type PumpAnswer } from "../../water/pumpAnswer";
import { timerMinutes, type TimerProgram } from "../../water/timer";
import { pumpSystem } from "../../water/loopPump";
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
  readonly pump: PumpAnswer | null;
  readonly lines: readonly LineGets[];
}

/** The first answers to what somebody has got. */
export function setUpFigures(made: SetUp, timer: TimerProgram): SetUpFigures {
  const { stands } = made;
  const sites = (of: SetUp["stands"]) => of.reduce((sum, { spec }) => sum + standCounts(spec).sites, 0);
  const onTrays = stands.filter(({ spec }) => spec.kind === "shoots-rack");
  const isYoung = ({ young, spec }: SetUp["stands"][number]) => young || Boolean(modelOf(spec).forYoungPlants);
  const plants = stands.filter(({ spec }) => spec.kind !== "shoots-rack");
  const wanted = stands.reduce((sum, { spec }) => sum + standFlow(spec).wantedLph, 0);
  const pump = made.pump && wanted > 0 ? pumpAnswer(pumpSystem(made.pump), wanted) : null;
  const share = pump ? pump.duty.flowLph / wanted : 1;
  const minutes = timerMinutes(timer);
  return {
    young: sites(plants.filter(isYoung)),
    toFinish: sites(plants.filter((stand) => !isYoung(stand))),
    trays: sites(onTrays),
    pump,
    lines: stands.flatMap(({ name, spec }): LineGets[] => {
      const { feeds, lineFlowLph, sitesPerFeed, limited } = standFlow(spec);
      if (lineFlowLph === 0 || sitesPerFeed === 0) return [];
      const getsLph = lineFlowLph * (limited ? Math.min(1, share) : share);
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
