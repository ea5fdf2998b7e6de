import type { PlacedStay } from "../batches/places/areaPlaces";
import { linesTouched } from "../batches/places/siteRuns";
import { lineWords } from "../place/lineWords";
import type { RoundGrowingArea, RoundInput, Stop, Where } from "./types";

/** What the round is made from, with what is looked up over and over. */
export interface IndexedInput extends RoundInput {
  readonly batchById: ReadonlyMap<number, RoundInput["plan"]["batches"][number]>;
  /** Batches of which something is still to be picked. */
  readonly toPick: ReadonlySet<number>;
}

/** Growing areas of one house are one stop: the walk goes from house to house. */
export function growingAreaStop(growingArea: RoundGrowingArea): Stop {
  return houseStop(growingArea.houseName || growingArea.name, growingArea.houseOrder);
}

export const houseStop = (name: string, order: number): Stop => ({ key: `house:${name}`, name, order: 1000 + order });

export function whereOf(growingArea: RoundGrowingArea, placed: PlacedStay): Where {
  return {
    growingArea: growingArea.name,
    lines: lineWords(growingArea.stands, linesTouched(growingArea.sitesPerLine, placed.runs)),
  };
}
