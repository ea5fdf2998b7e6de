import { standWater } from "../place/standWater";
import { standCounts } from "../place/standCounts";
import { standingOn } from "./standing";
import type { Loop } from "./garden";
import type { Worked } from "./worked";

/** The thirstiest line of a bank of film channels today. */
export interface FilmLine {
  readonly stand: string;
  readonly plants: number;
  readonly needLpd: number;
  /** What stands in it while nothing flows. */
  readonly filmL: number;
}

/** For each bank of film channels on a loop the line whose plants drink most today; none where nothing stands. */
export function filmPauses(worked: Worked, loop: Loop): FilmLine[] {
  const standing = standingOn(worked, worked.today);
  return worked.garden.stands.flatMap(({ id, name, spec, loopId }) => {
    if (loopId !== loop.id || spec.kind !== "channel-bank") return [];
    const lines = standing.get(id) ?? [];
    const most = lines.reduce((worst, line) => (line.needLpd > worst.needLpd ? line : worst), {
      plants: 0,
      needLpd: 0,
    });
    const filmL = standWater(spec).heldL / Math.max(1, standCounts(spec).lines);
    return most.needLpd > 0 ? [{ stand: name, plants: most.plants, needLpd: most.needLpd, filmL }] : [];
  });
}
