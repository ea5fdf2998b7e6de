import { requireRange } from "../units/range";
import { pumpDuty, type PumpDuty, type PumpSystem } from "./pumpDuty";

/** Up to this times the flow wanted a pump fits; over it, it is ample. */
const AMPLE_FROM = 1.5;
/** Nearer than this to a limit, an estimate decides nothing. */
const CLOSE_SHARE = 0.15;

export interface PumpAnswer {
  readonly duty: PumpDuty;
  readonly verdict: "cannot-lift" | "short" | "fits" | "ample" | "past-end" | "not-known";
  /** Flow of the duty point ÷ flow wanted. */
  readonly shareOfFlowWanted: number;
  /** (Static lift + head wanted) ÷ greatest lift. */
  readonly shareOfGreatestLift: number;
  /** The figures of a label are too near to a limit to decide: a bucket and a watch do. */
  readonly measureIt: boolean;
}

/**
 * Whether a pump known by its label or table gives a wanted flow.
 *
 * @param system the pump, the lift and the pipe
 * @param flowWantedLph over 0, to 1 000 000 L/h
 * @returns the duty point, a verdict (fits up to 1.5 times the flow wanted), and whether to measure it, which is said of
 *   a label alone when it lies within 15 % of a limit
 * @throws RangeError when a figure is outside its range
 * @source energy balance; tests/reference/water/series.json, "labelPump"
 */
export function pumpAnswer(system: PumpSystem, flowWantedLph: number): PumpAnswer {
  requireRange("pumpAnswer", "flowWantedLph", flowWantedLph, 0.01, 1_000_000);
  const duty = pumpDuty(system);
  const greatestLiftM =
    system.pump.kind === "label"
      ? system.pump.greatestLiftM
      : Math.max(...system.pump.points.map(({ headM }) => headM));
  const shareOfFlowWanted = duty.flowLph / flowWantedLph;
  const shareOfGreatestLift = (system.staticLiftM + system.headWantedM) / greatestLiftM;
  return {
    duty,
    verdict: verdictOf(duty, shareOfFlowWanted),
    shareOfFlowWanted,
    shareOfGreatestLift,
    measureIt:
      system.pump.kind === "label" &&
      (isClose(shareOfGreatestLift) || (duty.kind !== "cannot-lift" && isClose(shareOfFlowWanted))),
  };
}

function verdictOf(duty: PumpDuty, shareOfFlowWanted: number): PumpAnswer["verdict"] {
  switch (duty.kind) {
    case "cannot-lift":
      return "cannot-lift";
    case "before-table":
      return "not-known";
    case "past-end":
      return shareOfFlowWanted < 1 ? "short" : "past-end";
    case "works":
      if (shareOfFlowWanted < 1 - 1e-9) return "short";
      return shareOfFlowWanted <= AMPLE_FROM + 1e-9 ? "fits" : "ample";
  }
}

function isClose(share: number): boolean {
  return share >= 1 - CLOSE_SHARE - 1e-9 && share <= 1 + CLOSE_SHARE + 1e-9;
}
