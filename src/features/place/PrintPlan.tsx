"use client";
import { PageLink } from "@/ui/PageLink";
import type { HouseView } from "@/core/garden/placeView";
import { counted, quantityText } from "@/core/units/format";
import { standFootprint } from "@/core/place/standLayout";
import { buttonClass } from "@/ui/Button";
import { PrintButton } from "@/ui/PrintButton";
import { useUnits } from "@/ui/units";
import { MARGIN_M, PAPERS, SCALES, type Paper } from "./paper";
import { StandShape } from "@/features/frame/plan/StandShape";

const PX_PER_MM = 96 / 25.4;
const GROWS_NOTHING: HouseView["stands"][number]["growing"] = [];

/** A house on paper, true to scale: 1:50 is 20 mm for each metre. Too large for one sheet, it goes over several. */
export function PrintPlan({ view, scale, paper, day }: { view: HouseView; scale: number; paper: Paper; day: string }) {
  const units = useUnits();
  const { house, stands } = view;
  const [sheetMm, sheetHeightMm] = PAPERS[paper];
  const perSheet = { x: (sheetMm * scale) / 1000, y: (sheetHeightMm * scale) / 1000 };
  const [allX, allY] = [house.lengthM + 2 * MARGIN_M, house.widthM + 2 * MARGIN_M];
  const [columns, rows] = [Math.ceil(allX / perSheet.x - 1e-9), Math.ceil(allY / perSheet.y - 1e-9)];
  const sheets = Array.from({ length: columns * rows }, (_, index) => ({
    column: index % columns,
    row: Math.floor(index / columns),
  }));
  const level = Math.floor(Math.log2((1000 / scale) * PX_PER_MM * 2));
  const address = (more: { scale?: number; paper?: Paper }) =>
    `/place/print?house=${house.id}&scale=${more.scale ?? scale}&paper=${more.paper ?? paper}`;
  const barM = scale <= 25 ? 1 : scale <= 100 ? 5 : 20;
  return (
    <>
      <style>{`@page { size: ${paper} landscape; margin: 10mm; } @media print { #sheet > header { display: none; } #sheet { padding: 0; } }`}</style>
      <div className="no-print mb-4 flex flex-wrap items-center gap-2">
        <PageLink href={`/place?house=${house.id}`} className="min-h-8 underline">
          Back to the plan
        </PageLink>
        <span className="ml-4 text-soft">Scale</span>
        {SCALES.map((one) => (
          <PageLink
            key={one}
            href={address({ scale: one })}
            className={buttonClass(one === scale ? "strong" : "plain")}
            aria-current={one === scale ? "true" : undefined}
          >
            1:{one}
          </PageLink>
        ))}
        <span className="ml-4 text-soft">on</span>
        {(Object.keys(PAPERS) as Paper[]).map((one) => (
          <PageLink
            key={one}
            href={address({ paper: one })}
            className={buttonClass(one === paper ? "strong" : "plain")}
            aria-current={one === paper ? "true" : undefined}
          >
            {one}
          </PageLink>
        ))}
        <PrintButton label={`Print ${counted(sheets.length, "sheet")}`} />
      </div>
      <p className="no-print mb-3 text-sm text-soft">
        Print at 100 %, not “fit to page”, and measure the bar at the foot: {quantityText(barM, "length", units)} must
        be {quantityText((barM * 1000) / scale, "bore", units)} long.
      </p>
      <div className="overflow-x-auto print:overflow-visible">
        {sheets.map(({ column, row }) => (
          <figure
            key={`${column}/${row}`}
            className="mb-6 break-before-page first:break-before-auto print:mb-0"
            style={{ width: `${sheetMm}mm` }}
          >
            <svg
              role="img"
              aria-label={`${house.name} at 1:${scale}, sheet ${row * columns + column + 1} of ${sheets.length}`}
              width={`${sheetMm}mm`}
              height={`${sheetHeightMm}mm`}
              viewBox={`${column * perSheet.x - MARGIN_M} ${row * perSheet.y - MARGIN_M} ${perSheet.x} ${perSheet.y}`}
              className="block bg-sheet outline outline-1 outline-rule print:outline-none"
            >
              <rect
                width={house.lengthM}
                height={house.widthM}
                fill="none"
                className="stroke-ink"
                strokeWidth={2}
                vectorEffect="non-scaling-stroke"
                data-house
              />
              {stands.map(({ stand, counts }) => {
                const foot = standFootprint(stand);
                const words = `${stand.name}: ${counts.lines} × ${counts.sitesPerLine} = ${counts.sites}`;
                // As large as can be read on paper, and no wider than what it names.
                const sizeM = Math.max(0.0014 * scale, Math.min(0.0032 * scale, foot.lengthM / (words.length * 0.42)));
                return (
                  <g key={stand.id}>
                    <StandShape stand={stand} growing={GROWS_NOTHING} focusLine={null} level={level} />
                    <text x={foot.xM} y={foot.yM - sizeM * 0.3} fontSize={sizeM} className="sign">
                      {words}
                    </text>
                  </g>
                );
              })}
            </svg>
            <figcaption className="flex h-[8mm] items-end justify-between text-xs">
              <span>
                {house.name}, {quantityText(house.lengthM, "length", units)} ×{" "}
                {quantityText(house.widthM, "length", units)} · 1:{scale} · {day}
                {sheets.length > 1 &&
                  ` · sheet ${row * columns + column + 1} of ${sheets.length}, row ${row + 1}, column ${column + 1}`}
              </span>
              <span
                data-bar
                className="border-x-2 border-b-2 border-ink text-center"
                style={{ width: `${(barM * 1000) / scale}mm` }}
              >
                {quantityText(barM, "length", units)}
              </span>
            </figcaption>
          </figure>
        ))}
      </div>
    </>
  );
}
