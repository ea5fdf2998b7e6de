import type { PlacedStand } from "@/core/place/stand";
import { standFootprint, type RectM } from "@/core/place/standLayout";

export interface TankInPicture {
  readonly spot: RectM;
  readonly words: string;
  /** Where its pipe goes along: clear of what stands there. */
  readonly pipeYM: number;
  /** What it waters. */
  readonly waters: readonly PlacedStand[];
}

const BESIDE_M = 0.12;

/** The pipes from a tank to what it waters: along a wall, then up beside each stand. */
export function Pipes({ tank }: { readonly tank: TankInPicture }) {
  const { spot, pipeYM, waters } = tank;
  const [x, y] = [spot.xM + spot.lengthM / 2, spot.yM + spot.widthM / 2];
  const path = waters
    .map(standFootprint)
    .map(({ xM, yM, widthM }) => `M${x} ${y}V${pipeYM}H${xM - BESIDE_M}V${yM + widthM / 2}H${xM}`)
    .join("");
  return <path d={path} fill="none" className="stroke-water" strokeWidth={2.5} vectorEffect="non-scaling-stroke" />;
}

/** The tank from above, with its litres in it or, where those do not fit, beside it. */
export function Tank({ tank, pxPerM }: { readonly tank: TankInPicture; readonly pxPerM: number }) {
  const { spot, words } = tank;
  const sizeM = 15 / pxPerM;
  const isWide = words.length * sizeM * 0.55 < spot.lengthM && spot.widthM > 1.3 * sizeM;
  return (
    <>
      <rect
        x={spot.xM}
        y={spot.yM}
        width={spot.lengthM}
        height={spot.widthM}
        className="fill-water-pale stroke-water"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
      <text
        x={spot.xM + spot.lengthM / 2}
        y={isWide ? spot.yM + spot.widthM / 2 + sizeM * 0.35 : spot.yM + spot.widthM + sizeM * 1.1}
        textAnchor="middle"
        fontSize={sizeM}
        // The pipe under it is interrupted, so that the litres can be read.
        paintOrder="stroke"
        strokeWidth={isWide ? 0 : sizeM / 3}
        className="stroke-sheet"
      >
        {words}
      </text>
    </>
  );
}
