import { standFootprint } from "@/core/place/standLayout";
import type { PlacedStand } from "@/core/place/stand";

/** Letters of the sign face are about so wide as a share of their height. */
const LETTER_WIDTH = 0.42;
const LEAST_NAME_PX = 8;

/** Where the name of a stand is written, and how large, so that it fits and can be read; 0 from too far away. */
export function namePlace(stand: PlacedStand, pxPerM: number) {
  const foot = standFootprint(stand);
  const roomM = Math.max(foot.lengthM * 1.3, 0.5);
  const sizeM = Math.min(0.6, Math.max(0.04, 14 / pxPerM), roomM / (stand.name.length * LETTER_WIDTH));
  const shownM = sizeM * pxPerM * 1.4 < LEAST_NAME_PX ? 0 : sizeM;
  // Where there is no room under the wall it goes below.
  const nameYM = foot.yM > 1.2 * sizeM ? foot.yM - sizeM * 0.3 : foot.yM + foot.widthM + sizeM;
  return { foot, sizeM: shownM, nameYM };
}
