import { CROP_LIBRARY } from "../src/core/growth/library/crops";
import { isoFromDay } from "../src/core/units/day";
import { run, type Db } from "../src/server/db/pool";
import { today } from "../src/server/session/clock";
import growth from "./growth.json" with { type: "json" };
import { idsOf, type Save } from "./idsOf";
import place from "./place.json" with { type: "json" };

interface Around {
  readonly save: Save;
  /** Ids by name. */
  readonly units: Map<string, number>;
  readonly growingArea: ReadonlyMap<string, number>;
}

/** The crops with their stages, seed and steps. @returns ids by name */
export async function loadCrops(
  db: Db,
  id: number,
  { save, units, growingArea }: Around,
): Promise<Map<string, number>> {
  const addUnit = async (name: string) => {
    const unitId = await save("harvest_unit", { name, divisible: false });
    units.set(name, unitId);
    return unitId;
  };
  const variety = await idsOf(growth.varieties, async ({ stages, ...entry }) => {
    const varietyId = await save("variety", {
      name: entry.name,
      crop: entry.crop,
      kind: entry.kind,
      unit_id: units.get(entry.unit) ?? (await addUnit(entry.unit)),
      food_safety_sensitive: "foodSafetySensitive" in entry && entry.foodSafetySensitive,
      price_per_unit: entry.pricePerUnit,
      germination: entry.germination,
      seeds_per_cell: entry.seedsPerCell,
      seeds_per_g: entry.seedsPerG,
      pattern: entry.pattern,
      up_within_days: "upWithinDays" in entry ? entry.upWithinDays : null,
      ...profileOf(entry.library),
      ...("ecLow" in entry && {
        ...{ ec_low: entry.ecLow, ec_high: entry.ecHigh, ph_low: entry.phLow, ph_high: entry.phHigh },
      }),
    });
    for (const [position, stage] of stages.entries())
      await run(
        db,
        `insert into variety_stage (garden_id, variety_id, position, name, growing_area_id, days_by_month, survival, need_lpd, kc, area_per_plant_m2) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
        [
          id,
          varietyId,
          position,
          stage.name,
          growingArea.get(stage.growingArea),
          stage.daysByMonth,
          stage.survival,
          stage.needLpd,
          "kc" in stage ? stage.kc : null,
          "areaPerPlantM2" in stage ? stage.areaPerPlantM2 : null,
        ],
      );
    return varietyId;
  });
  for (const {
    variety: of,
    lotName,
    onHandG,
    receivedDaysAgo,
    germination: tested,
    bestBeforeDaysAgo,
  } of growth.seedLots) {
    const day = today(place.garden.timeZone);
    await save("seed_lot", {
      variety_id: variety.get(of),
      name: lotName,
      received_on: isoFromDay(day - receivedDaysAgo),
      on_hand_g: onHandG,
      germination: tested,
      best_before: bestBeforeDaysAgo === null ? null : isoFromDay(day - bestBeforeDaysAgo),
    });
  }
  const counted = new Map<string, number>();
  for (const { variety: of, kind, stageNumber, due, note: text } of growth.steps) {
    const position = counted.get(of) ?? 0;
    counted.set(of, position + 1);
    await save("variety_step", {
      ...{ variety_id: variety.get(of), position, kind, stage_number: stageNumber, due, note: text },
    });
  }
  return variety;
}

/** What suits a variety, as the crop of the library says. */
function profileOf(library: string): Record<string, unknown> {
  const crop = CROP_LIBRARY.find(({ name }) => name === library)!;
  return {
    family: crop.family,
    depth_m: crop.depthM,
    germinates_in: crop.germinatesIn,
    soak_h: crop.soakH,
    suits: crop.suits,
    suits_not: crop.suitsNot,
    solution_low_c: crop.solutionC[0],
    solution_high_c: crop.solutionC[1],
    air_base_c: crop.airC[0],
    air_optimum_c: crop.airC[1],
    air_ceiling_c: crop.airC[2],
    light_mol_per_m2_day: crop.lightMolPerM2Day,
    half_light_mol: crop.lightMolPerM2Day / 2,
    tray: crop.tray,
    not_modelled: crop.notModelled,
  };
}
