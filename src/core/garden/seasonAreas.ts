import { freeSites, type FreeSites } from "../batches/places/freeSites";
import { lineLabel } from "../place/standLayout";
import type { Day } from "../units/day";
import type { Worked } from "./worked";

/** A line of a growing area, and what it is called: "Leaf bank, channel 7". */
export interface LineView {
  readonly standId: number;
  /** Its number on the stand, from 1. */
  readonly line: number;
  readonly sites: number;
  readonly label: string;
}

export interface GrowingAreaView {
  readonly id: number;
  readonly name: string;
  readonly sites: number;
  readonly cleaningDays: number;
  readonly lines: readonly LineView[];
  /** Sites that are taken, or blocked while they are cleaned, on each day of the window. */
  readonly used: readonly number[];
  readonly daysOver: number;
  readonly firstOver: { readonly day: Day; readonly sites: number } | null;
  /** What is free on the first day of the window from today on, and in how small pieces. */
  readonly free: FreeSites & { readonly day: Day };
}

/** Growing areas over the days of a window: how full they are, and their lines. */
export function seasonAreas({ plan, input, growingAreaStands, placed }: Worked, from: Day, to: Day): GrowingAreaView[] {
  const days = Array.from({ length: to - from }, (_, at) => from + at);
  const freeOn = Math.max(from, plan.today);
  return input.growingAreas.map((area) => {
    const { id, name, sites, cleaningDays, lines = [], sitesPerLine } = area;
    const occupied = plan.growingAreas.find(({ growingAreaId }) => growingAreaId === id)!;
    const used = days.map((day) =>
      day < plan.from || day >= plan.to ? 0 : occupied.plants[day - plan.from]! + occupied.blocked[day - plan.from]!,
    );
    const over = used.flatMap((count, at) => (count > sites ? [at] : []));
    const stands = new Map((growingAreaStands.get(id) ?? []).map((stand) => [stand.id, stand]));
    const [first] = over;
    return {
      ...{ id, name, sites, cleaningDays, used, daysOver: over.length },
      lines: lines.map(({ standId, line }, at) => {
        const { name: standName, spec } = stands.get(standId)!;
        return { standId, line, sites: sitesPerLine[at]!, label: `${standName}, ${lineLabel(spec, line - 1)}` };
      }),
      firstOver: first === undefined ? null : { day: from + first, sites: used[first]! - sites },
      free: { ...freeSites(area, placed.get(id) ?? [], freeOn), day: freeOn },
    };
  });
}
