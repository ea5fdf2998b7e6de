import type { CropMark } from "@/core/garden/cropMarks";
import { inkOn, innerMark, toneOf } from "../crops/cropMarks";

/** A plant position along a line. */
export interface StripSite {
  /** Along and across the line, m. */
  readonly xM: number;
  readonly yM: number;
  /** What grows there; free when left out. */
  readonly plant?: { readonly mark: CropMark; readonly age: number };
  readonly blocked?: boolean;
}

export interface ChannelStripProps {
  readonly label: string;
  readonly lengthM: number;
  readonly widthM: number;
  readonly sites: readonly StripSite[];
}

const WIDTH = 1000;
const MOST_HEIGHT = 90;

/**
 * A line drawn to scale with every site: a plant is a disc whose size is its age in its stage and whose tone and hatch are
 * its variety's, a free site an open ring, a blocked emitter a cross.
 */
export function ChannelStrip({ label, lengthM, widthM, sites }: ChannelStripProps) {
  const scale = Math.min(WIDTH / lengthM, MOST_HEIGHT / Math.max(widthM, 0.01));
  const height = Math.max(26, widthM * scale);
  const reach = nearestGapM(sites, lengthM) * scale * 0.46;
  const radius = Math.max(2, Math.min(reach, height / 2 - 1.5));
  return (
    <svg
      viewBox={`-2 -2 ${lengthM * scale + 4} ${height + 4}`}
      role="img"
      aria-label={label}
      className="max-h-24 w-full"
      preserveAspectRatio="xMinYMid meet"
    >
      <rect width={lengthM * scale} height={height} rx="3" className="fill-sheet stroke-soft" strokeWidth="1.5" />
      {sites.map((site, index) => {
        const [x, y] = [site.xM * scale, (site.yM / widthM) * height];
        if (site.blocked)
          return (
            <path key={index} d={`M${x - 5} ${y - 5}l10 10m0 -10l-10 10`} className="stroke-alarm" strokeWidth="2.5" />
          );
        if (!site.plant)
          return (
            <circle key={index} cx={x} cy={y} r={radius * 0.7} fill="none" className="stroke-soft" strokeWidth="1.2" />
          );
        const { mark, age } = site.plant;
        const ownRadius = radius * (0.45 + 0.55 * Math.min(1, age));
        return (
          <g key={index} strokeLinecap="round" strokeWidth={ownRadius * 0.4}>
            <circle cx={x} cy={y} r={ownRadius} style={{ fill: toneOf(mark) }} />
            <path d={innerMark(mark, x, y, ownRadius)} style={{ stroke: inkOn(mark) }} />
          </g>
        );
      })}
    </svg>
  );
}

function nearestGapM(sites: readonly StripSite[], lengthM: number): number {
  const [a, b] = sites;
  return a && b ? Math.hypot(b.xM - a.xM, b.yM - a.yM) : lengthM / 4;
}
