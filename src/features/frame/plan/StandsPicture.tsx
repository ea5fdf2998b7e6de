"use client";
import { useRef } from "react";
import { standCounts } from "@/core/place/standCounts";
import { lineSitePoints, standFootprint } from "@/core/place/standLayout";
import type { PlacedStand } from "@/core/place/stand";
import { useElementWidth } from "@/ui/useElementWidth";
import { HouseOutline } from "./HouseOutline";
import { StandShape } from "./StandShape";
import { Pipes, Tank, type TankInPicture } from "./TankAndPipes";

interface StandsPictureProps {
  readonly stands: readonly (PlacedStand & { readonly young?: boolean })[];
  /** Its walls, where there are any. */
  readonly house?: { readonly name: string; readonly lengthM: number; readonly widthM: number; readonly cover: string };
  /** What the picture says to who does not see it. */
  readonly label: string;
  /** Its length, written under it. */
  readonly lengthWords: string;
  /** Between two plants of the first line, written over them. */
  readonly spacing?: { readonly words: string };
  readonly tank?: TankInPicture | null;
  readonly mostPx?: number;
}

const EDGE_M_PX = 12;
const FOOT_PX = 30;
const HEAD_PX = 34;

/** Stands to scale with a plant on every site, in their house or by themselves. */
export function StandsPicture({ stands, house, label, lengthWords, spacing, tank, mostPx = 380 }: StandsPictureProps) {
  const box = useRef<HTMLDivElement>(null);
  const widthPx = useElementWidth(box) ?? 640;
  const feet = stands.map(standFootprint);
  const lengthM = house?.lengthM ?? Math.max(0.1, ...feet.map(({ xM, lengthM: long }) => xM + long));
  const widthM = house?.widthM ?? Math.max(0.05, ...feet.map(({ yM, widthM: wide }) => yM + wide));
  const allM = Math.max(widthM, tank ? tank.spot.yM + tank.spot.widthM : 0);
  const headPx = house || spacing ? HEAD_PX : 4;
  const [one, two] = spacing && stands[0] ? sitesOf(stands[0]) : [];
  const scale = Math.min((widthPx - 2 * EDGE_M_PX) / lengthM, (mostPx - headPx - FOOT_PX) / allM);
  const level = Math.log2(scale);
  const heightPx = allM * scale + headPx + FOOT_PX;
  const endPx = lengthM * scale;
  const lineY = allM * scale + 12;
  return (
    <div ref={box} className="w-full">
      <svg width={widthPx} height={heightPx} role="img" aria-label={label} className="block max-w-full">
        <g transform={`translate(${EDGE_M_PX} ${headPx})`}>
          <g transform={`scale(${scale})`}>
            {house && <HouseOutline house={house} pxPerM={scale} />}
            {tank && <Pipes tank={tank} />}
            {stands.map((stand) => (
              <StandShape key={stand.id} stand={stand} growing={planted(stand)} focusLine={null} level={level} />
            ))}
            {tank && <Tank tank={tank} pxPerM={scale} />}
          </g>
          {one !== undefined && two !== undefined && (two - one) * scale > 6 && (
            <>
              <path
                d={`M${one * scale} -22v8M${one * scale} -18H${two * scale}M${two * scale} -22v8`}
                className="stroke-ink"
                strokeWidth={1.5}
                fill="none"
              />
              <text x={two * scale + 8} y={-13} fontSize={15}>
                {spacing!.words}
              </text>
            </>
          )}
          <g className="stroke-ink" strokeWidth={1.5} fill="none">
            <path d={`M0 ${lineY - 5}v10M0 ${lineY}H${endPx}M${endPx} ${lineY - 5}v10`} />
          </g>
          <text x={endPx / 2} y={lineY + 16} textAnchor="middle" fontSize={15}>
            {lengthWords}
          </text>
        </g>
      </svg>
    </div>
  );
}

/** Where the first two plants of the first line are, along it. */
function sitesOf({ spec, turned }: PlacedStand): number[] {
  return turned
    ? []
    : lineSitePoints(spec)
        .slice(0, 2)
        .map(({ xM }) => xM);
}

/** A plant on every site: what is asked is how many there would be. */
function planted(stand: PlacedStand & { readonly young?: boolean }) {
  const { sites } = standCounts(stand.spec);
  return [
    {
      start: 0,
      end: sites,
      batchId: 0,
      stage: 0,
      variety: "",
      mark: { tone: stand.young ? 1 : 0, hatch: "plain" as const, initials: "" },
      sownOn: 0,
      dayOfStage: stand.young ? 1 : 9,
      daysOfStage: 10,
    },
  ];
}
