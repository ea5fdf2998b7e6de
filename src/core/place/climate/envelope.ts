import { requireFigures } from "../../units/range";

export type Roof = "flat" | "gable" | "round";

/** What a house is measured by for its heat. */
export interface HouseShape {
  readonly lengthM: number;
  readonly widthM: number;
  /** Of the walls; of a flat house its height. */
  readonly wallM: number;
  readonly roof: Roof;
  /** Of a gable or round roof; null or not over the walls: it counts as flat. */
  readonly ridgeM: number | null;
}

export interface Envelope {
  readonly groundM2: number;
  readonly wallsM2: number;
  readonly roofM2: number;
  readonly volumeM3: number;
}

/**
 * Walls, roof and volume of a house from its ground plan, the height of its walls and its roof: flat, a gable with its ridge
 * along the length, or an arc of a circle from wall to wall.
 *
 * @throws RangeError when a figure is outside its range
 * @source plane geometry; the arc by its chord and rise
 * @example envelope({ lengthM: 14, widthM: 6, wallM: 0.3, roof: "round", ridgeM: 3.3 }).roofM2 // 131.947
 */
export function envelope(shape: HouseShape): Envelope {
  const { lengthM, widthM, wallM, roof, ridgeM } = shape;
  requireFigures(
    "envelope",
    { lengthM, widthM, wallM, ridgeM },
    { lengthM: [0.1, 1000], widthM: [0.1, 1000], wallM: [0, 100], ridgeM: [0, 100] },
  );
  const groundM2 = lengthM * widthM;
  const riseM = roof === "flat" || ridgeM === null ? 0 : Math.max(0, ridgeM - wallM);
  const { acrossM, endM2 } = riseM === 0 ? { acrossM: widthM, endM2: 0 } : CROSS[roof](widthM, riseM);
  return {
    groundM2,
    wallsM2: 2 * (lengthM + widthM) * wallM + 2 * endM2,
    roofM2: acrossM * lengthM,
    volumeM3: lengthM * (widthM * wallM + endM2),
  };
}

/** How far it is over the roof from wall to wall, and the area of its end above the walls. */
const CROSS: Readonly<Record<Roof, (widthM: number, riseM: number) => { acrossM: number; endM2: number }>> = {
  flat: (widthM) => ({ acrossM: widthM, endM2: 0 }),
  gable: (widthM, riseM) => ({ acrossM: 2 * Math.hypot(widthM / 2, riseM), endM2: (widthM * riseM) / 2 }),
  round: (widthM, riseM) => {
    const radiusM = (widthM ** 2 / 4 + riseM ** 2) / (2 * riseM);
    // More than half a circle where it rises more than half its width.
    const half = Math.asin(Math.min(1, widthM / (2 * radiusM)));
    const angle = 2 * (riseM > widthM / 2 ? Math.PI - half : half);
    return { acrossM: radiusM * angle, endM2: (radiusM ** 2 * (angle - Math.sin(angle))) / 2 };
  },
};
