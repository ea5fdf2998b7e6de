import { freePlace } from "../../place/layout/freePlace";
import { modelOf, type StandSpec } from "../../place/kinds";
import type { RectM } from "../../place/kinds/model";
import { standFlow } from "../../place/standFlow";
import { standFootprint, standLayout } from "../../place/standLayout";
import { loopTankRoom } from "../../place/standWater";
import { toldKind, toldSpec } from "../../place/told/kinds";
import { PLAIN_PIPE, type RealPump } from "../../water/loopPump";
import { ENDS_K, usualPipe, type PipeSize } from "../../water/pipeSizes";
import type { Changes, Row, Tables } from "../changes";
import { newRow } from "../edit";
import { GROWING_AREA, HOUSE, STAND } from "../entities/place";
import type { Entity } from "../entities/field";
import { LOOP } from "../entities/water";
import type { House, Loop, Stand } from "../garden";
import { greatestFillL } from "../tank";
import { PLACE_KINDS, type NewPlace, type Setup } from "./told";

/** A stand that does not fit into its house, and how much longer or wider that would have to be; null: no such way. */
export interface NoRoom {
  readonly stand: string;
  readonly missingLengthM: number | null;
  readonly missingWidthM: number | null;
}

export interface StandPut {
  readonly name: string;
  readonly spec: StandSpec;
  readonly young: boolean;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
}

export interface SetUp {
  /** All rows that it takes; new ones have ids under 0. Not to be made while something has no room. */
  readonly changes: Changes;
  readonly house: Pick<House, "name" | "lengthM" | "widthM" | "cover">;
  /** Those that fit, where they stand. */
  readonly stands: readonly StandPut[];
  readonly noRoom: readonly NoRoom[];
  /** What was taken for the pipe, where there is a pump. */
  readonly pipe: PipeSize | null;
  readonly pump: RealPump | null;
  /** Whether what is given comes back into the tank. */
  readonly recirculates: boolean;
  /** Runs back into the tank when the pump stops. */
  readonly runsBackL: number;
  /** Fill that leaves room for that; null without a tank. */
  readonly fillToL: number | null;
}

/** Kinds whose water comes back. */
const COMES_BACK = new Set<StandSpec["kind"]>(["channel-bank", "raft-pond", "towers", "flood-bench", "media-bed"]);
/** Room kept free around what stands in a place that was told without its sides. */
const AROUND_M = 0.6;
const FOOT_M = 0.3048;

/**
 * The rows of a garden from what somebody has got: a house or a place without walls, growing areas, stands, a tank with its
 * pump and timer. A growing area arises for each sort of stand.
 *
 * @param tables the garden as it is; names that it has are not given again
 * @throws RangeError for a figure outside its range, or a house that is not there
 */
export function setUp(tables: Tables, setup: Setup): SetUp {
  const specs = setup.stands.map(({ told, figures }) => toldSpec(told, figures));
  const ids = countDown();
  const rows = new Map<string, Row[]>();
  const add = (entity: Entity, row: Row): number => {
    const own = rows.get(entity.table) ?? [];
    const id = ids();
    rows.set(entity.table, [...own, { ...newRow(tables, entity, id, row), ...placed(tables, entity, own.length) }]);
    return id;
  };
  const there = "houseId" in setup.place ? houseOf(tables, setup.place.houseId) : null;
  const house = there ?? newHouse(tables, setup.place as NewPlace, specs, setup.system);
  const houseId = there ? there.id : add(HOUSE, house);
  const plumbed = specs.filter((spec) => standFlow(spec).lineFlowLph > 0);
  const recirculates = plumbed.some(({ kind }) => COMES_BACK.has(kind));
  const flowLph = plumbed.reduce((sum, spec) => sum + standFlow(spec).wantedLph, 0);
  const pipe = setup.pump ? usualPipe(flowLph, setup.system) : null;
  const pump = setup.pump && pipe ? pumpOf(setup, house, pipe) : null;
  const kind = recirculates ? ("recirculating" as const) : ("run-to-waste" as const);
  const tankL = setup.tank?.litres ?? 0;
  const runsBackL = loopTankRoom({ kind, tankL, normalFillL: tankL, pump }, plumbed).drainBackL;
  const loop = setup.tank && loopRow(tables, setup.timer, { kind, tankL, pump, runsBackL });
  const loopId = loop && plumbed.length > 0 ? add(LOOP, loop) : null;

  const taken = (there ? standsIn(tables, there.id) : []).map(standFootprint);
  const names = new Set(there ? standsIn(tables, there.id).map(({ name }) => name) : []);
  // Stands of one sort with sites of one size serve the same stage.
  const areaIds = new Map<string, number>();
  const areaNames = new Set(Object.values(tables.growing_area ?? {}).map(({ name }) => String(name)));
  const stands: StandPut[] = [];
  const noRoom: NoRoom[] = [];
  setup.stands.forEach(({ told, figures, young }, index) => {
    const spec = specs[index]!;
    const isNursery = young && !modelOf(spec).forYoungPlants;
    const name = freeName(capital(isNursery ? `nursery ${toldKind(told).name}` : toldKind(told).name), names);
    const found = freePlace(house, taken, standLayout(spec));
    if (found.kind === "no-room") {
      noRoom.push({ stand: name, missingLengthM: found.missingLengthM, missingWidthM: found.missingWidthM });
      return;
    }
    const put = { name, spec, young, xM: found.xM, yM: found.yM, turned: found.turned };
    taken.push(standFootprint(put));
    stands.push(put);
    const sort = [told, young, figures.spacingM, figures.cells, figures.plants].join(" ");
    const growingAreaId = areaIds.get(sort) ?? add(GROWING_AREA, { name: freeName(name, areaNames), cleaningDays: 0 });
    areaIds.set(sort, growingAreaId);
    add(STAND, {
      houseId,
      name,
      growingAreaId,
      loopId: standFlow(spec).lineFlowLph > 0 ? loopId : null,
      spec: spec as unknown as Row,
      xM: put.xM,
      yM: put.yM,
      turned: put.turned,
    });
  });
  return {
    changes: Object.fromEntries(
      [...rows].map(([table, own]) => [
        table,
        { added: Object.fromEntries(own.map((row) => [row.id, row])), removed: {}, updated: {} },
      ]),
    ),
    house,
    stands,
    noRoom,
    pipe,
    pump,
    recirculates,
    runsBackL: loop ? runsBackL : 0,
    fillToL: loop ? loop.normalFillL : null,
  };
}

function countDown(): () => number {
  let last = 0;
  return () => (last -= 1);
}

/** Rows that are added together stand one behind the other. */
function placed(tables: Tables, entity: Entity, before: number): Row {
  if (!entity.placed) return {};
  const last = Object.values(tables[entity.table] ?? {}).reduce(
    (most, { position }) => Math.max(most, Number(position)),
    0,
  );
  return { position: last + 1 + before };
}

function houseOf(tables: Tables, id: number): House {
  const found = tables.house?.[id] as unknown as House | undefined;
  if (!found) throw new RangeError(`setUp: houseId is ${id}; it must be a house of the garden`);
  return found;
}

function standsIn(tables: Tables, houseId: number): Stand[] {
  const all = Object.values(tables.stand ?? {}) as unknown as Stand[];
  return all.filter((stand) => stand.houseId === houseId);
}

/** A house as told; without its sides it is as large as its stands side by side with room to walk. */
function newHouse(tables: Tables, place: NewPlace, specs: readonly StandSpec[], system: Setup["system"]) {
  const { kind, lengthM, widthM } = place;
  const sizes = specs.map(standLayout);
  const around = kind === "windowsill" ? 0 : AROUND_M;
  const step = system === "us" ? FOOT_M : 0.1;
  const up = (metres: number) => Math.ceil(metres / step - 1e-6) * step;
  const longest = Math.max(0.3, ...sizes.map((size) => size.lengthM)) + around;
  const together = sizes.reduce((sum, size) => sum + size.widthM + around, 0);
  const taken = new Set(Object.values(tables.house ?? {}).map(({ name }) => String(name)));
  // A house beside those that are there already.
  const edge = Object.values(tables.house ?? {}).reduce(
    (most, row) => Math.max(most, Number(row.xM) + Number(row.lengthM)),
    0,
  );
  return {
    ...PLACE_KINDS[kind],
    name: freeName(place.name || capital(kind), taken),
    lengthM: lengthM ?? up(longest),
    widthM: widthM ?? up(Math.max(0.5, together)),
    xM: edge === 0 ? 0 : edge + 2,
    yM: 0,
  };
}

/** The pump by its label, with a pipe across half the house. */
function pumpOf({ pump, tank }: Setup, house: RectSides, pipe: PipeSize): RealPump {
  return {
    kind: "label",
    ...pump!,
    highestOutletM: tank?.underOutletsM ?? 1,
    lowestWaterM: 0,
    headWantedM: 0,
    pipeLengthM: Math.ceil(house.lengthM / 2 + 1),
    boreMm: pipe.boreMm,
    elbows: 4,
    valves: 1,
    fittingsK: ENDS_K,
    ...PLAIN_PIPE,
    nonReturnValve: false,
    waterSinksM: 0,
  };
}
type RectSides = Pick<RectM, "lengthM" | "widthM">;

function loopRow(
  tables: Tables,
  timer: Setup["timer"],
  { kind, tankL, pump, runsBackL }: Pick<Loop, "kind" | "tankL" | "pump"> & { readonly runsBackL: number },
) {
  const taken = new Set(Object.values(tables.loop ?? {}).map(({ name }) => String(name)));
  return {
    name: freeName("Tank", taken),
    kind,
    tankL,
    normalFillL: Math.max(1, Math.floor(greatestFillL(tankL, runsBackL))),
    recipeId: null,
    sourceId: null,
    feeding: "dry",
    injectorLeastLph: null,
    injectorGreatestLph: null,
    timer: timer as unknown as Row,
    pump: pump as unknown as Row | null,
  };
}

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);

/** A name that is not taken, and is from now on. @example freeName("Beds", new Set(["Beds"])) // "Beds 2" */
export function freeName(wanted: string, taken: Set<string>): string {
  let name = wanted;
  for (let next = 2; taken.has(name); next++) name = `${wanted} ${next}`;
  taken.add(name);
  return name;
}
