import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

const WIDTH = 620;
const HEIGHT = 250;
const LEFT = 60;
const RIGHT = 470;
const FLOOR = 210;
const MOST_PX = 150;

/** A cut through still water: how deep it stands, how far it may sink, and the float. Depth is to scale, width is not. */
export function StillPicture({
  depthM,
  leastDepthM,
  hasFloat,
}: {
  readonly depthM: number;
  readonly leastDepthM: number;
  readonly hasFloat: boolean;
}) {
  const units = useUnits();
  const text = (metres: number) => quantityText(metres, "smallLength", units);
  const perM = MOST_PX / Math.max(depthM, leastDepthM, 0.01);
  const full = FLOOR - depthM * perM;
  const least = FLOOR - Math.min(leastDepthM, depthM * 1.5) * perM;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Water ${text(depthM)} deep; it may sink to ${text(leastDepthM)}`}
      className="w-full max-w-2xl"
    >
      <rect x={LEFT} y={full} width={RIGHT - LEFT} height={FLOOR - full} className="fill-water-pale" />
      <path d={`M${LEFT} ${full}H${RIGHT}`} className="stroke-water" strokeWidth="3" />
      <path d={`M${LEFT} ${least}H${RIGHT}`} className="stroke-alarm" strokeWidth="2" strokeDasharray="8 5" />
      <path
        d={`M${LEFT} ${full - 34}V${FLOOR}H${RIGHT}V${full - 34}`}
        fill="none"
        className="stroke-ink"
        strokeWidth="4"
      />
      {hasFloat && (
        <g>
          <path
            d={`M${LEFT - 40} ${full - 18}H${LEFT + 26}L${LEFT + 84} ${full}`}
            fill="none"
            className="stroke-ink"
            strokeWidth="4"
          />
          <circle cx={LEFT + 92} cy={full} r="13" className="fill-sheet stroke-ink" strokeWidth="3" />
        </g>
      )}
      <text x={RIGHT + 14} y={full + 6} fontSize="18" className="sign">
        {text(depthM)} full
      </text>
      {Math.abs(least - full) > 22 && (
        <text x={RIGHT + 14} y={least + 6} fontSize="18" className="sign fill-alarm">
          {text(leastDepthM)} least
        </text>
      )}
    </svg>
  );
}
