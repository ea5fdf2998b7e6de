import { seedOfBatchG } from "../growth/seedNeed";
import { heatMat, TRAY_U } from "../place/climate/heating";
import { insideDay } from "../place/climate/houseAir";
import { standCounts } from "../place/standCounts";
import { traysOf, type ShootsRack, type TrayRack } from "../place/kinds/racks";
import type { Day } from "../units/day";
import type { TimerProgram } from "../water/timer";
import type { Garden, Stand, Variety } from "./garden";
import { outsideYear } from "./climate";
import type { Worked } from "./worked";
import { cropMarks, type CropMark } from "./cropMarks";

/** What stands in a tray on a day. */
export interface TrayRun {
  readonly batchId: number;
  readonly variety: string;
  readonly mark: CropMark;
  /** Of the tray's cells; 1 of a tray sown broadcast. */
  readonly cells: number;
  /** Day of its stage, 1 on the first, of how many. */
  readonly dayOf: number;
  readonly ofDays: number;
  /** Covered, or to be kept dark, on this day. */
  readonly isDark: boolean;
}

export interface RackTray {
  /** Counted through the growing area, from 1. */
  readonly number: number;
  readonly cells: number;
  readonly runs: readonly TrayRun[];
}

export interface RackView {
  readonly standId: number;
  readonly name: string;
  readonly houseName: string;
  readonly matC: number | null;
  readonly lampHours: number | null;
  readonly domed: boolean;
  readonly rinsesPerDay: number | null;
  /** The loop that waters it, and when; null: by hand. */
  readonly loop: { readonly name: string; readonly timer: TimerProgram } | null;
  /** What the mat needs on the coldest night of a normal year, W, and of energy on such a day; null where there is none. */
  readonly mat: { readonly watts: number; readonly kwhPerDay: number } | null;
  /** Rack by rack, the top shelf first. */
  readonly shelves: readonly (readonly RackTray[])[];
}

/** Something that happens to a batch on its rack on a day. */
export interface RackEvent {
  readonly kind: "soak" | "sow" | "uncover" | "light" | "leave";
  readonly batchId: number;
  readonly variety: string;
  readonly cells: number;
  readonly inTrays: boolean;
  /** Hours that the seed soaks before it is sown; grams of it. */
  readonly soakH?: number;
  readonly seedG?: number;
  /** Where plants go; null: they are cut. */
  readonly goesTo?: string | null;
}

const isRack = ({ spec }: Stand) => spec.kind === "tray-rack" || spec.kind === "shoots-rack";

/** Growing areas whose stands are racks with trays. */
export function rackAreas({ garden, growingAreaStands }: Worked): { readonly id: number; readonly name: string }[] {
  return garden.growingAreas.filter(({ id }) => {
    const stands = growingAreaStands.get(id) ?? [];
    return stands.length > 0 && stands.every(isRack);
  });
}

/**
 * The racks of a growing area shelf by shelf, with what stands in each tray on a day.
 * @param day within the plan
 */
export function rackViews(worked: Worked, areaId: number, day: Day): RackView[] {
  const { garden, growingAreaStands, placed } = worked;
  const stands = growingAreaStands.get(areaId) ?? [];
  const there = (placed.get(areaId) ?? []).filter(({ stay }) => stay.from <= day && day < stay.to);
  let firstSite = 0;
  let firstTray = 0;
  return stands.filter(isRack).map((stand) => {
    const spec = stand.spec as TrayRack | ShootsRack;
    const { lines, sitesPerLine } = standCounts(stand.spec);
    const offset = firstSite;
    const trays = Array.from({ length: lines }, (_, line): RackTray => {
      const [from, to] = [offset + line * sitesPerLine, offset + (line + 1) * sitesPerLine];
      const runs = there.flatMap(({ stay, runs: own }) => {
        const cells = own.reduce((sum, run) => sum + Math.max(0, Math.min(to, run.end) - Math.max(from, run.start)), 0);
        return cells > 0 ? [runOf(worked, stay, day, cells)] : [];
      });
      return { number: firstTray + line + 1, cells: sitesPerLine, runs };
    });
    firstSite += lines * sitesPerLine;
    firstTray += lines;
    const perShelf = Math.max(1, traysOf(spec).traysPerShelf);
    const shelves = Array.from({ length: Math.ceil(lines / perShelf) }, (_, shelf) =>
      trays.slice(shelf * perShelf, (shelf + 1) * perShelf),
    );
    return {
      ...{ standId: stand.id, name: stand.name, matC: stand.matC, lampHours: stand.lampHours, domed: stand.domed },
      houseName: garden.houses.find(({ id }) => id === stand.houseId)?.name ?? "",
      loop: loopOf(garden, stand),
      mat: matOf(garden, stand, spec),
      rinsesPerDay: spec.kind === "shoots-rack" ? spec.rinsesPerDay : null,
      shelves,
    };
  });
}

function loopOf({ loops }: Garden, { loopId }: Stand): RackView["loop"] {
  const loop = loops.find(({ id }) => id === loopId);
  return loop ? { name: loop.name, timer: loop.timer } : null;
}

/** The mat of a rack: the trays' area at its set point, in the coldest air of its house. */
function matOf(garden: Garden, { matC, domed, houseId }: Stand, spec: TrayRack | ShootsRack): RackView["mat"] {
  const outside = outsideYear(garden);
  const house = garden.houses.find(({ id }) => id === houseId);
  if (matC === null || !outside || !house) return null;
  const inside = outside.map((day) => insideDay(house, day));
  const coldest = inside.reduce((least, day) => (day.lowestC < least.lowestC ? day : least));
  const areaM2 = traysOf(spec).trays * spec.trayLengthM * spec.trayWidthM;
  const uWPerM2K = domed ? TRAY_U.domed : TRAY_U.open;
  const found = heatMat({ uWPerM2K, areaM2, setPointC: matC, hasWPerM2: 0 }, coldest);
  return { watts: found.wattsNeeded, kwhPerDay: found.kwhPerDay };
}

type Stay = Worked["plan"]["batches"][number]["stays"][number];

function runOf({ plan, garden }: Worked, stay: Stay, day: Day, cells: number): TrayRun {
  const { variety } = plan.batches.find(({ batch }) => batch.id === stay.batchId)!;
  const kept = garden.varieties.find(({ id }) => id === variety.id)!;
  const mark = cropMarks(garden.varieties).get(variety.id)!;
  const dayOf = day - stay.from + 1;
  return {
    ...{ batchId: stay.batchId, variety: variety.name, mark, cells, dayOf },
    ofDays: Math.max(1, stay.plannedEnd - stay.from),
    isDark: stay.stage === 0 && dayOf <= darkDays(kept),
  };
}

/** Days from sowing in the dark: of trays sown by weight as told, else until the seed is up where it comes up in the dark. */
function darkDays({ tray, germinatesIn, upWithinDays }: Variety): number {
  if (tray) return tray.blackoutDays;
  return germinatesIn === "dark" ? Math.max(1, Math.round((upWithinDays ?? 5) / 1.5)) : 0;
}

const PLACE_OF: Readonly<Record<RackEvent["kind"], number>> = { leave: 0, soak: 1, sow: 2, uncover: 3, light: 4 };

/** What happens on the racks of a growing area on a day: what is soaked, sown, uncovered, and what leaves. */
export function rackEvents(worked: Worked, areaId: number, day: Day): RackEvent[] {
  const { garden, plan } = worked;
  const areaName = (id: number) => garden.growingAreas.find((area) => area.id === id)?.name ?? "";
  const events = plan.batches.flatMap(({ batch, stays, variety }): RackEvent[] => {
    const kept = garden.varieties.find(({ id }) => id === variety.id)!;
    const at = stays.findIndex((stay) => stay.growingAreaId === areaId && stay.from <= day + 4 && day <= stay.to);
    if (at < 0 || batch.clearedDay !== null) return [];
    const stay = stays[at]!;
    const about = { batchId: batch.id, variety: variety.name, cells: stay.plants, inTrays: kept.tray !== null };
    const next = stays[at + 1];
    const found: RackEvent[] = [];
    const soakDays = Math.ceil(kept.soakH / 24);
    if (at === 0 && kept.soakH > 0 && day === stay.from - soakDays)
      found.push({ ...about, kind: "soak", soakH: kept.soakH, seedG: seedOfBatchG(kept, stay.plants) });
    if (at === 0 && day === stay.from) found.push({ ...about, kind: "sow", seedG: seedOfBatchG(kept, stay.plants) });
    const dark = at === 0 ? darkDays(kept) : 0;
    if (dark > 0 && day === stay.from + dark) found.push({ ...about, kind: kept.tray ? "light" : "uncover" });
    if (day === (next ? next.from : stay.plannedEnd))
      found.push({
        ...about,
        kind: "leave",
        cells: next?.plants ?? stay.plants,
        goesTo: next ? areaName(next.growingAreaId) : null,
      });
    return found;
  });
  return events.sort((a, b) => PLACE_OF[a.kind] - PLACE_OF[b.kind] || a.variety.localeCompare(b.variety, "en"));
}
