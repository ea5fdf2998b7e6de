import type { Short } from "../../batches/season/explain";
import type { Day } from "../../units/day";
import type { Worked } from "../worked";
import type { GardenSeason } from "./seasonProblem";

/** A limit by its name and its days. */
export type NamedLimit = {
  readonly from: Day;
  /** The last day. */
  readonly until: Day;
  readonly free: number;
  readonly needed: number;
} & (
  | { readonly kind: "sites"; readonly growingAreaId: number; readonly name: string }
  | { readonly kind: "water" }
  | { readonly kind: "hours" }
  | { readonly kind: "salt"; readonly saltId: number; readonly name: string }
);

/** A limit of the problem as one of the garden. */
export function namedLimit(
  { garden, input }: Worked,
  { from, problem }: GardenSeason,
  { limit, free, needed }: Short,
): NamedLimit {
  switch (limit.kind) {
    case "sites": {
      const { id, name } = input.growingAreas[limit.area]!;
      return {
        kind: "sites",
        growingAreaId: id,
        name,
        from: from + limit.from,
        until: from + limit.to - 1,
        free,
        needed,
      };
    }
    case "water":
      return { kind: "water", from: from + limit.from, until: from + limit.to - 1, free, needed };
    case "labour": {
      const monday = from + 7 * limit.week;
      return { kind: "hours", from: monday, until: monday + 6, free: free / 60, needed: needed / 60 };
    }
    case "stock": {
      const { id: name } = problem.stocks![limit.stock]!;
      const saltId = garden.salts.find((salt) => salt.name === name)!.id;
      return { kind: "salt", saltId, name, from, until: from + problem.days - 1, free, needed };
    }
  }
}

/** Limits of one thing, on whatever days. */
export const limitKey = (limit: NamedLimit): string =>
  limit.kind === "sites" ? `sites ${limit.growingAreaId}` : limit.kind === "salt" ? `salt ${limit.saltId}` : limit.kind;
