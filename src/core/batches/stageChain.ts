import { wholeDown, wholeUp } from "../numeric/whole";
import { requireFigures, requireRange } from "../units/range";
import { batchesAtOnce } from "./littlesLaw";

/** A stage of a crop that is sown again and again, in the growing area where it stands. */
export interface ChainStage {
  readonly area: string;
  readonly days: number;
  /** Share that reaches the end of the stage, 0.001–1; what is lost keeps its site until then. */
  readonly survival: number;
  readonly cleaningDays: number;
}

/** A crop of which so many are picked a week, in batches. */
export interface SteadyCrop {
  readonly harvestPerWeek: number;
  readonly everyDays: number;
  readonly stages: readonly ChainStage[];
}

export interface ChainArea {
  readonly area: string;
  readonly entersPerBatch: number;
  readonly entersPerWeek: number;
  readonly leavesPerWeek: number;
  /** Sites of one batch. */
  readonly sitesPerBatch: number;
  readonly meanSites: number;
  readonly batchesAtOnce: number;
  readonly peakSites: number;
}

/**
 * Sites that a steady harvest takes in every growing area on its way. A stage is entered by what is picked ÷ (its own and
 * all later survivals); the sites of a batch are rounded up stage by stage.
 *
 * @returns plants to sow a batch and a week, days from sowing, and the areas in the order of the stages
 * @throws RangeError when there is no stage or a figure is outside its range
 * @source Little's law, stage by stage; tests/reference/batches/quick.json, "chain"
 */
export function stageChain({ harvestPerWeek, everyDays, stages }: SteadyCrop): {
  readonly sownPerBatch: number;
  readonly sownPerWeek: number;
  readonly daysFromSowing: number;
  readonly areas: readonly ChainArea[];
} {
  requireRange("stageChain", "harvestPerWeek", harvestPerWeek, 0, 1_000_000);
  requireStages("stageChain", everyDays, stages);
  let leavesPerWeek = harvestPerWeek;
  const areas = stages
    .toReversed()
    .map(({ area, days, survival, cleaningDays }): ChainArea => {
      const entersPerWeek = leavesPerWeek / survival;
      const entersPerBatch = (entersPerWeek * everyDays) / 7;
      const sitesPerBatch = wholeUp(entersPerBatch);
      const atOnce = batchesAtOnce(days, { everyDays, cleaningDays });
      const result = {
        area,
        entersPerBatch,
        entersPerWeek,
        leavesPerWeek,
        sitesPerBatch,
        meanSites: (entersPerWeek * (days + cleaningDays)) / 7,
        batchesAtOnce: atOnce,
        peakSites: sitesPerBatch * atOnce,
      };
      leavesPerWeek = entersPerWeek;
      return result;
    })
    .toReversed();
  return {
    sownPerBatch: areas[0]!.sitesPerBatch,
    sownPerWeek: areas[0]!.entersPerWeek,
    daysFromSowing: stages.reduce((sum, { days }) => sum + days, 0),
    areas,
  };
}

export interface SharedArea {
  readonly meanSites: number;
  readonly peakSites: number;
  readonly fitsOnTheMean: boolean;
  readonly fitsAtThePeak: boolean;
  /** Negative: so many are missing. */
  readonly freeAtThePeak: number;
}

/**
 * Growing areas that several crops share. Means add; so do peaks, because crops whose rhythms are not tied meet on some
 * day.
 *
 * @param sitesOf sites by growing area
 * @returns by growing area, the largest part of all harvests that fits on the mean (up to 1), and the tightest area
 * @throws RangeError for an area that is not in `sitesOf`, or a figure outside its range
 * @source Little's law; tests/reference/batches/quick.json, "shared"
 */
export function sharedAreas(
  sitesOf: Readonly<Record<string, number>>,
  crops: readonly SteadyCrop[],
): {
  readonly areas: Readonly<Record<string, SharedArea>>;
  readonly shareThatFitsOnTheMean: number;
  readonly tightestArea: string | null;
} {
  const sums = new Map<string, { mean: number; peak: number }>();
  for (const crop of crops)
    for (const { area, meanSites, peakSites } of stageChain(crop).areas) {
      const sum = sums.get(area) ?? { mean: 0, peak: 0 };
      sums.set(area, { mean: sum.mean + meanSites, peak: sum.peak + peakSites });
    }
  let tightest: { area: string; load: number } | null = null;
  const areas: Record<string, SharedArea> = {};
  for (const [area, { mean, peak }] of sums) {
    const sites = requireRange("sharedAreas", `sites of ${area}`, sitesOf[area] ?? Number.NaN, 0, 10_000_000);
    areas[area] = {
      meanSites: mean,
      peakSites: peak,
      fitsOnTheMean: mean <= sites + 1e-9,
      fitsAtThePeak: peak <= sites,
      freeAtThePeak: sites - peak,
    };
    const load = mean === 0 ? 0 : mean / sites;
    if (!tightest || load > tightest.load) tightest = { area, load };
  }
  return {
    areas,
    shareThatFitsOnTheMean: tightest && tightest.load > 1 ? 1 / tightest.load : 1,
    tightestArea: tightest?.area ?? null,
  };
}

/**
 * What a second crop can have of a growing area beside a first one, in whole batches of the rest.
 *
 * @param sites of the growing area
 * @param first keeps its peak
 * @param second its rhythm and stages; its weekly harvest is what is asked for
 * @returns plants of each batch and the weekly harvest of the second; sites left are null when the first alone is too much
 * @throws RangeError when one of the two does not stand in the area, or a figure is outside its range
 * @source tests/reference/batches/quick.json, "restOfArea"
 */
export function restOfArea(
  area: string,
  sites: number,
  first: SteadyCrop,
  second: Omit<SteadyCrop, "harvestPerWeek">,
): {
  readonly firstPeakSites: number;
  readonly plantsPerBatch: number;
  readonly harvestPerWeek: number;
  readonly sitesLeft: number | null;
} {
  requireRange("restOfArea", "sites", sites, 0, 10_000_000);
  requireStages("restOfArea", second.everyDays, second.stages);
  const firstPeakSites = stageIn(area, stageChain(first).areas).peakSites;
  const stage = stageIn(area, second.stages);
  const atOnce = batchesAtOnce(stage.days, { everyDays: second.everyDays, cleaningDays: stage.cleaningDays });
  if (firstPeakSites > sites) return { firstPeakSites, plantsPerBatch: 0, harvestPerWeek: 0, sitesLeft: null };
  const plantsPerBatch = wholeDown((sites - firstPeakSites) / atOnce);
  const survives = second.stages
    .slice(second.stages.indexOf(stage))
    .reduce((share, { survival }) => share * survival, 1);
  return {
    firstPeakSites,
    plantsPerBatch,
    harvestPerWeek: (plantsPerBatch * survives * 7) / second.everyDays,
    sitesLeft: sites - firstPeakSites - plantsPerBatch * atOnce,
  };
}

function requireStages(where: string, everyDays: number, stages: readonly ChainStage[]) {
  requireRange(where, "everyDays", everyDays, 0.1, 366);
  requireRange(where, "stages", stages.length, 1, 20);
  for (const stage of stages)
    requireFigures(where, stage, { days: [0, 3640], survival: [0.001, 1], cleaningDays: [0, 366] });
}

function stageIn<Stage extends { readonly area: string }>(area: string, stages: readonly Stage[]): Stage {
  const found = stages.find((stage) => stage.area === area);
  if (!found) throw new RangeError(`restOfArea: no stage stands in ${area}`);
  return found;
}
