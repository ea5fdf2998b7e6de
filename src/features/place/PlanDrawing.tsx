"use client";
import { House as HouseIcon, Maximize, ZoomIn, ZoomOut } from "lucide-react";
import { useCallback, useRef } from "react";
import type { PlacedStand } from "@/core/place/stand";
import type { RectM } from "@/core/place/standLayout";
import type { HouseView } from "@/core/garden/placeView";
import type { UnitPreferences } from "@/core/units/dimensions";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";
import { DraftStand } from "./plan/DraftStand";
import { EditableHouse } from "./plan/EditableHouse";
import { EditableStand } from "./plan/EditableStand";
import { HouseOutline } from "@/features/frame/plan/HouseOutline";
import type { LineFocus } from "./plan/lineFocus";
import { NotYetRealHatch } from "./plan/NotYetReal";
import { ReadableStand } from "./plan/ReadableStand";
import { usePlanZoom } from "./plan/usePlanZoom";
import type { PlanEdit } from "./plan/usePlanEdit";

const MARGIN_M = 0.9;
/** More than this is not redrawn sixty times a second without a graphics card. */
const MANY_SITES = 5000;

export interface PlanDrawingProps {
  readonly houses: readonly HouseView[];
  /** What is seen at first; the whole garden without one. */
  readonly home: HouseView | null;
  readonly focus: LineFocus | null;
  readonly onFocus: (focus: LineFocus) => void;
  /** With this the stands can be moved, pulled and turned. */
  readonly edit: PlanEdit | null;
  /** A stand while its form is filled in, in place of what is saved of it. */
  readonly draft: { readonly houseId: number; readonly stand: PlacedStand } | null;
}

/** Houses and stands from above, true to scale, from the whole garden to one site. */
export function PlanDrawing({ houses, home, focus, onFocus, edit, draft }: PlanDrawingProps) {
  const svg = useRef<SVGSVGElement>(null);
  const layer = useRef<SVGGElement>(null);
  const bar = useRef<HTMLDivElement>(null);
  const world = boundsOf(houses.map(({ house }) => house));
  const seen = home ? boundsOf([home.house]) : world;
  const sites = houses.reduce((sum, { stands }) => sum + stands.reduce((own, { counts }) => own + counts.sites, 0), 0);
  const { system } = useUnits();
  const onView = useCallback(
    (metresAcross: number) => bar.current && showScale(bar.current, metresAcross, system),
    [system],
  );
  const zoom = usePlanZoom(svg, layer, seen, world, onView, sites > MANY_SITES);
  const pxPerM = 2 ** zoom.level;
  return (
    <div className="relative">
      <div className="relative">
        <svg
          ref={svg}
          viewBox={`${seen.xM} ${seen.yM} ${seen.lengthM} ${seen.widthM}`}
          className="max-h-[56vh] w-full touch-none border border-rule bg-sheet"
          aria-label={home ? `Plan of ${home.house.name}` : "Plan of the garden"}
          role="group"
        >
          <NotYetRealHatch />
          <g ref={layer} className="group/plan">
            {houses.map((view) => (
              <g key={view.house.id} transform={`translate(${view.house.xM} ${view.house.yM})`}>
                {edit ? (
                  <EditableHouse
                    house={view.house}
                    others={houses.filter((one) => one !== view).map(({ house }) => house)}
                    pxPerM={pxPerM}
                    layer={layer}
                    save={edit.changeHouse}
                  />
                ) : (
                  <HouseOutline house={view.house} pxPerM={pxPerM} />
                )}
                {view.stands
                  .filter(({ stand }) => stand.id !== draft?.stand.id)
                  .map((stand) =>
                    edit ? (
                      <EditableStand
                        key={stand.stand.id}
                        view={stand}
                        house={view.house}
                        edit={edit}
                        level={zoom.level}
                        layer={layer}
                      />
                    ) : (
                      <ReadableStand
                        key={stand.stand.id}
                        view={stand}
                        level={zoom.level}
                        focusLine={focus?.standId === stand.stand.id ? focus.line : null}
                        onFocus={onFocus}
                        onZoom={(spot, closer) =>
                          zoom.at({ xM: view.house.xM + spot.xM, yM: view.house.yM + spot.yM }, closer)
                        }
                      />
                    ),
                  )}
                {draft?.houseId === view.house.id && <DraftStand stand={draft.stand} level={zoom.level} />}
              </g>
            ))}
          </g>
        </svg>
        <div
          ref={bar}
          aria-hidden
          className="pointer-events-none absolute bottom-0.5 right-3 border-x-2 border-b-2 border-ink pb-0.5 text-center text-xs leading-tight"
        />
      </div>
      <div className="no-print mt-1 flex justify-end gap-1 sm:absolute sm:bottom-full sm:right-0 sm:mb-1">
        <Button aria-label="Zoom in" className="!px-2" onClick={zoom.closer}>
          <ZoomIn aria-hidden />
        </Button>
        <Button aria-label="Zoom out" className="!px-2" onClick={zoom.farther}>
          <ZoomOut aria-hidden />
        </Button>
        {home && (
          <Button aria-label="Whole house" className="!px-2" onClick={zoom.home}>
            <HouseIcon aria-hidden />
          </Button>
        )}
        <Button aria-label="Whole garden" className="!px-2" onClick={home ? zoom.garden : zoom.home}>
          <Maximize aria-hidden />
        </Button>
      </div>
    </div>
  );
}

function boundsOf(houses: readonly RectM[]): RectM {
  if (houses.length === 0) return { xM: 0, yM: 0, lengthM: 10, widthM: 6 };
  const x0 = Math.min(...houses.map(({ xM }) => xM)) - MARGIN_M;
  const y0 = Math.min(...houses.map(({ yM }) => yM)) - 1.5 * MARGIN_M;
  const x1 = Math.max(...houses.map(({ xM, lengthM }) => xM + lengthM)) + MARGIN_M;
  const y1 = Math.max(...houses.map(({ yM, widthM }) => yM + widthM)) + MARGIN_M;
  return { xM: x0, yM: y0, lengthM: x1 - x0, widthM: y1 - y0 };
}

const BAR_LENGTHS = {
  metric: [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50].map((metres) => [metres, `${metres} m`] as const),
  us: [0.5, 1, 2, 5, 10, 20, 50, 100, 200].map((feet) => [feet * 0.3048, feet < 1 ? "6 in" : `${feet} ft`] as const),
};

/** Written to the element itself, as the movement is. */
function showScale(bar: HTMLDivElement, metresAcross: number, system: UnitPreferences["system"]) {
  const lengths = BAR_LENGTHS[system];
  const [lengthM, words] = lengths.findLast(([candidate]) => candidate < metresAcross / 5) ?? lengths[0]!;
  bar.style.width = `${(lengthM / metresAcross) * 100}%`;
  bar.textContent = words;
}
