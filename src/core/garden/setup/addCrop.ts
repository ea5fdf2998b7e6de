import { daysByMonthAt, type LibraryCrop, type LibraryStage } from "../../growth/library/crop";
import { modelOf, type StandKind } from "../../place/kinds";
import { standCounts } from "../../place/standCounts";
import type { Changes, Row, Tables } from "../changes";
import { newRow } from "../edit";
import { GROWING_AREA } from "../entities/place";
import { usualSteps } from "../../growth/steps";
import { HARVEST_UNIT, VARIETY, VARIETY_STAGE, VARIETY_STEP } from "../entities/growth";
import type { Stand } from "../garden";
import { freeName } from "./setUp";

/** A growing area as its stands make it. */
interface AreaFacts {
  readonly id: number;
  readonly kinds: ReadonlySet<StandKind>;
  /** Ground of a site, m². */
  readonly siteM2: number;
  readonly isYoung: boolean;
}

/** A site for young plants is smaller than this: 13 cm by 13 cm. */
const YOUNG_SITE_M2 = 0.017;

/**
 * A crop of the library as rows of a garden: its profile, its unit where that is missing, and its stages in the growing
 * areas that suit them best. Stages that have no area of their own are spent in the next one; a garden without a growing
 * area gets one.
 *
 * @param latitudeDeg −90 to 90, for the days of its stages
 * @returns changes with new ids under 0; the variety has `LIBRARY_ID`
 */
export function addCrop(tables: Tables, crop: LibraryCrop, latitudeDeg: number): Changes {
  const rows = new Map<string, Record<number, Row>>();
  const put = (table: string, id: number, row: Row) => rows.set(table, { ...rows.get(table), [id]: row });
  const unit = Object.values(tables.harvest_unit ?? {}).find(({ name }) => name === crop.unit);
  const unitId = unit ? Number(unit.id) : LIBRARY_ID - 1;
  if (!unit)
    put(
      "harvest_unit",
      unitId,
      newRow(tables, HARVEST_UNIT, unitId, { name: crop.unit, divisible: crop.unit === "kg" }),
    );
  const names = new Set(Object.values(tables.variety ?? {}).map(({ name }) => String(name)));
  const profile: Row = {
    name: freeName(crop.name, names),
    crop: crop.name.split(",")[0]!.toLowerCase(),
    family: crop.family,
    kind: crop.kind,
    unitId,
    foodSafetySensitive: crop.foodSafetySensitive,
    germination: crop.germination,
    seedsPerCell: crop.seedsPerCell,
    thinTo: crop.thinTo,
    pelleted: crop.pelleted,
    seedsPerG: crop.seedsPerG,
    depthM: crop.depthM,
    germinatesIn: crop.germinatesIn,
    soakH: crop.soakH,
    pattern: crop.pattern as unknown as Row,
    tray: crop.tray as unknown as Row | null,
    suits: [...crop.suits],
    suitsNot: [...crop.suitsNot],
    ecLow: crop.ecMsPerCm[0],
    ecHigh: crop.ecMsPerCm[1],
    phLow: crop.ph[0],
    phHigh: crop.ph[1],
    solutionLowC: crop.solutionC[0],
    solutionHighC: crop.solutionC[1],
    airBaseC: crop.airC[0],
    airOptimumC: crop.airC[1],
    airCeilingC: crop.airC[2],
    lightMolPerM2Day: crop.lightMolPerM2Day,
    halfLightMol: crop.lightMolPerM2Day / 2,
    upWithinDays: upWithinDays(crop),
    notModelled: [...crop.notModelled],
  };
  put("variety", LIBRARY_ID, newRow(tables, VARIETY, LIBRARY_ID, profile));
  const areas = areasOf(tables);
  let areaFor = (stage: LibraryStage) => bestArea(areas, stage, crop)?.id;
  if (areas.length === 0) {
    const id = LIBRARY_ID - 2;
    put("growing_area", id, newRow(tables, GROWING_AREA, id, { name: "Growing area", cleaningDays: 0 }));
    areaFor = () => id;
  }
  merged(crop.stages, areaFor).forEach(({ stage, days, growingAreaId }, position) => {
    const id = LIBRARY_ID - 10 - position;
    put(
      "variety_stage",
      id,
      newRow(tables, VARIETY_STAGE, id, {
        varietyId: LIBRARY_ID,
        position,
        name: stage.name,
        growingAreaId,
        daysByMonth: daysByMonthAt(days, latitudeDeg),
        referenceDays: days[0],
        usesLight: stage.name !== "germinate",
        survival: stage.survival,
        needLpd: stage.needLpd,
        kc: stage.kc,
        areaPerPlantM2: stage.areaPerPlantM2,
      }),
    );
  });
  const stages = rows.get("variety_stage")!;
  usualSteps({
    ...{ germinatesIn: crop.germinatesIn, seedsPerCell: crop.seedsPerCell, thinTo: crop.thinTo },
    ...{ stages: Object.keys(stages).length, blackoutDays: crop.tray?.blackoutDays ?? null },
    firstDays: crop.stages[0]!.days[0],
  }).forEach((step, position) => {
    const id = LIBRARY_ID - 30 - position;
    put(
      "variety_step",
      id,
      newRow(tables, VARIETY_STEP, id, { ...(step as unknown as Row), varietyId: LIBRARY_ID, position }),
    );
  });
  return Object.fromEntries([...rows].map(([table, added]) => [table, { added, removed: {}, updated: {} }]));
}

/** Half as long again as the slowest should take to come up; of trays a few days. */
function upWithinDays({ stages, tray }: LibraryCrop): number {
  return tray ? 5 : Math.ceil((stages[0]!.name === "germinate" ? stages[0]!.days[1] : 8) * 1.5);
}

/** The id of the new variety; its stages and what else it needs count down from there. */
export const LIBRARY_ID = -1000;

/** Stages one after the other in one growing area are one stage: nothing is moved between them. */
function merged(stages: readonly LibraryStage[], areaFor: (stage: LibraryStage) => number | undefined) {
  const result: { stage: LibraryStage; days: [number, number]; growingAreaId: number }[] = [];
  for (const stage of stages) {
    const growingAreaId = areaFor(stage)!;
    const last = result.at(-1);
    if (last?.growingAreaId === growingAreaId) {
      last.days = [last.days[0] + stage.days[0], last.days[1] + stage.days[1]];
      last.stage = { ...stage, survival: last.stage.survival * stage.survival };
    } else result.push({ stage, days: [...stage.days] as [number, number], growingAreaId });
  }
  return result;
}

function areasOf(tables: Tables): AreaFacts[] {
  const stands = Object.values(tables.stand ?? {}) as unknown as Stand[];
  return Object.keys(tables.growing_area ?? {}).map((key): AreaFacts => {
    const own = stands.filter(({ growingAreaId }) => growingAreaId === Number(key));
    const counts = own.map(({ spec }) => standCounts(spec));
    const sites = counts.reduce((sum, { sites: more }) => sum + more, 0);
    const groundM2 = counts.reduce((sum, { lines, lineAreaM2 }) => sum + lines * lineAreaM2, 0);
    // A row of a channel is as wide as its pitch for the plant that hangs over it.
    const pitchM = own.reduce(
      (least, { spec }) => Math.min(least, "pitchM" in spec ? spec.pitchM : Infinity),
      Infinity,
    );
    const siteM2 = Number.isFinite(pitchM) ? pitchM ** 2 : sites > 0 ? groundM2 / sites : 1;
    return {
      id: Number(key),
      kinds: new Set(own.map(({ spec }) => spec.kind)),
      siteM2,
      isYoung: own.length > 0 && own.every(({ spec }) => modelOf(spec).forYoungPlants) ? true : siteM2 < YOUNG_SITE_M2,
    };
  });
}

/** The growing area for a stage: of the right sort, suiting the crop, with sites nearest in size to what a plant takes. */
function bestArea(areas: readonly AreaFacts[], stage: LibraryStage, crop: LibraryCrop): AreaFacts | undefined {
  const onTrays = crop.tray !== null;
  const rank = (area: AreaFacts) => {
    const isRack = area.kinds.has("shoots-rack");
    const isSeedRack = area.kinds.has("tray-rack");
    const wrong = [
      area.kinds.size === 0,
      isRack !== onTrays,
      !onTrays && stage.name === "grow" && (area.isYoung || ![...area.kinds].some((kind) => crop.suits.includes(kind))),
      stage.name === "grow" && [...area.kinds].some((kind) => crop.suitsNot.includes(kind)),
      stage.name !== "grow" && !area.isYoung,
      stage.name === "nursery" && isSeedRack,
      stage.name === "germinate" && !isSeedRack,
    ];
    const weights = [64, 32, 8, 16, 4, 2, 1];
    const faults = wrong.reduce((sum, is, index) => sum + (is ? weights[index]! : 0), 0);
    return faults + Math.abs(Math.log(area.siteM2 / stage.areaPerPlantM2)) / 100;
  };
  return [...areas].sort((a, b) => rank(a) - rank(b))[0];
}
