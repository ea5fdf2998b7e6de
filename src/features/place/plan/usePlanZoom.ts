import { select, zoom, zoomIdentity, zoomTransform, type ZoomBehavior, type ZoomTransform } from "d3";
import { useEffect, useRef, useState, type RefObject } from "react";
import type { PointM, RectM } from "@/core/place/standLayout";

const DEEPEST_ZOOM = 60;
const ZOOM_STEP = 1.6;

export interface PlanZoom {
  /** Powers of two of pixels for a metre; changes only in steps, so that the drawing is made again only then. */
  readonly level: number;
  readonly closer: () => void;
  readonly farther: () => void;
  readonly home: () => void;
  readonly garden: () => void;
  /** Nearer to or farther from a spot of the garden, which comes to the middle. */
  readonly at: (spot: PointM, closer: boolean) => void;
}

/**
 * Zoom and pan of a plan from the whole garden to one site, by wheel, pinch, buttons and keys. The transform is written
 * to the drawing itself: React does not take part in a movement.
 *
 * @param home what is seen at first, and what a drawing of the same size shows at zoom 1
 * @param world everything there is
 * @param heavy so much is drawn that while it is zoomed the plants are shown as stripes
 * @param onView called with the metres seen across after each movement
 */
export function usePlanZoom(
  svg: RefObject<SVGSVGElement | null>,
  layer: RefObject<SVGGElement | null>,
  home: RectM,
  world: RectM,
  onView: (metresAcross: number) => void,
  heavy: boolean,
): PlanZoom {
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const [level, setLevel] = useState(5);
  const view = useRef(onView);
  useEffect(() => {
    view.current = onView;
  });
  const { xM, yM, lengthM, widthM } = home;
  const far = Math.min(1, lengthM / world.lengthM, widthM / world.widthM);
  useEffect(() => {
    const element = svg.current!;
    const moved = (transform: ZoomTransform) => {
      layer.current?.setAttribute("transform", transform.toString());
      const box = element.getBoundingClientRect();
      const pxPerM = Math.min(box.width / lengthM, box.height / widthM) * transform.k;
      view.current(box.width / Math.max(1e-9, pxPerM));
      return pxPerM;
    };
    // Drawn with more or less in it only when the movement is over: no picture is left out on the way.
    const rested = (transform: ZoomTransform) => {
      delete layer.current?.dataset.zooming;
      setLevel(Math.floor(Math.log2(Math.max(1, moved(transform)))));
    };
    let scale = 1;
    behaviour.current = zoom<SVGSVGElement, unknown>()
      .extent([
        [xM, yM],
        [xM + lengthM, yM + widthM],
      ])
      .translateExtent([
        [Math.min(xM, world.xM), Math.min(yM, world.yM)],
        [Math.max(xM + lengthM, world.xM + world.lengthM), Math.max(yM + widthM, world.yM + world.widthM)],
      ])
      .scaleExtent([far, DEEPEST_ZOOM])
      // What is being moved by hand does not move the ground under it.
      .filter(
        (event: Event & { button?: number; ctrlKey?: boolean }) =>
          !event.button && !(event.target as Element).closest("[data-hand]"),
      )
      .on("start", (event: { transform: ZoomTransform }) => (scale = event.transform.k))
      .on("zoom", (event: { transform: ZoomTransform }) => {
        if (heavy && event.transform.k !== scale && layer.current) layer.current.dataset.zooming = "";
        moved(event.transform);
      })
      .on("end", (event: { transform: ZoomTransform }) => rested(event.transform));
    const selection = select(element).call(behaviour.current);
    const sized = new ResizeObserver(() => rested(zoomTransform(element)));
    sized.observe(element);
    return () => {
      selection.on(".zoom", null);
      sized.disconnect();
    };
  }, [svg, layer, heavy, xM, yM, lengthM, widthM, far, world.xM, world.yM, world.lengthM, world.widthM]);
  const by = (factor: number) => {
    if (behaviour.current) select(svg.current!).call(behaviour.current.scaleBy, factor);
  };
  const to = (transform: ZoomTransform) => {
    if (behaviour.current) select(svg.current!).call(behaviour.current.transform, transform);
  };
  const toGarden = () =>
    to(
      zoomIdentity
        .translate(xM + lengthM / 2, yM + widthM / 2)
        .scale(far)
        .translate(-(world.xM + world.lengthM / 2), -(world.yM + world.widthM / 2)),
    );
  return {
    level,
    closer: () => by(ZOOM_STEP),
    farther: () => by(1 / ZOOM_STEP),
    home: () => to(zoomIdentity),
    garden: toGarden,
    at: (spot, closer) => {
      by(closer ? ZOOM_STEP : 1 / ZOOM_STEP);
      if (behaviour.current) select(svg.current!).call(behaviour.current.translateTo, spot.xM, spot.yM);
    },
  };
}
