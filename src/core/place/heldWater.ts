import { requireRange, requireWhole } from "../units/range";

/** Depth of the film in a sloped channel without a dam; 3–5 mm is usual. */
export const FILM_DEPTH_MM = 4;

/**
 * Litres of film on the floor of a rectangular channel: width × depth × length.
 * @source box volume; cases in tests/reference/place/held-water.json
 * @example rectangularChannelL(100, 30, 6, 10) // 180
 */
export function rectangularChannelL(widthMm: number, waterDepthMm: number, lengthM: number, lines: number): number {
  requireRange("rectangularChannelL", "widthMm", widthMm, 0, 5000);
  requireRange("rectangularChannelL", "waterDepthMm", waterDepthMm, 0, 2000);
  return (widthMm / 1000) * (waterDepthMm / 1000) * lengthM * lines * 1000;
}

/**
 * Wetted area of a round pipe that is partly full: r²·acos((r − h)/r) − (r − h)·√(2rh − h²), with h clamped to [0, 2r].
 *
 * @param innerDiameterMm 1–2000 mm
 * @param waterDepthMm over the invert; under 0 and over the bore are empty and full
 * @returns m²
 * @source area of a circular segment; cases in tests/reference/place/held-water.json
 * @example segmentAreaM2(103.6, 51.8) // 0.004214824
 */
export function segmentAreaM2(innerDiameterMm: number, waterDepthMm: number): number {
  requireRange("segmentAreaM2", "innerDiameterMm", innerDiameterMm, 1, 2000);
  const r = innerDiameterMm / 2000;
  const h = Math.min(2 * r, Math.max(0, waterDepthMm / 1000));
  const cosine = Math.min(1, Math.max(-1, (r - h) / r));
  return r * r * Math.acos(cosine) - (r - h) * Math.sqrt(Math.max(0, 2 * r * h - h * h));
}

/**
 * Litres in a round pipe that runs full.
 * @param innerDiameterMm 1–2000 mm
 * @param lengthM 0–5000 m
 * @source π·r²·length; the full section of tests/reference/place/held-water.json
 * @example fullPipeL(33.2, 14) // 12.1
 */
export function fullPipeL(innerDiameterMm: number, lengthM: number): number {
  requireRange("fullPipeL", "lengthM", lengthM, 0, 5000);
  return segmentAreaM2(innerDiameterMm, innerDiameterMm) * lengthM * 1000;
}

/** A dam at the outlet of a sloped line. */
export interface DammedLine {
  readonly section: "round" | "rect";
  /** Bore of a round line, width of a rectangular one. */
  readonly sizeMm: number;
  readonly damHeightMm: number;
  /** Drop as one in so many; 0 is level. */
  readonly fallOneIn: number;
  readonly lengthM: number;
  readonly lines: number;
}

/** Slices of the wedge: its area changes smoothly, so that Simpson's rule is far better than a tape measure. */
const WEDGE_SLICES = 200;

/**
 * Litres behind the dams of sloped lines: only a wedge, V = ∫ A(max(0, h − s·x)) dx, since the water reaches no further
 * upstream than h/s.
 *
 * @returns litres of all lines and how far upstream the water stands, m
 * @throws RangeError when an argument is outside its range
 * @source Simpson's rule over the wetted section; cases in tests/reference/place/held-water.json
 * @example dammedLineL({ section: "rect", sizeMm: 100, damHeightMm: 25, fallOneIn: 100, lengthM: 4, lines: 8 }).volumeL // 25
 */
export function dammedLineL(line: DammedLine): { readonly volumeL: number; readonly wettedLengthM: number } {
  requireRange("dammedLineL", "sizeMm", line.sizeMm, 1, 5000);
  requireRange("dammedLineL", "damHeightMm", line.damHeightMm, 0, 2000);
  requireRange("dammedLineL", "fallOneIn", line.fallOneIn, 0, 10_000);
  requireRange("dammedLineL", "lengthM", line.lengthM, 0, 500);
  const areaM2 = (depthMm: number) =>
    line.section === "round"
      ? segmentAreaM2(line.sizeMm, depthMm)
      : (line.sizeMm / 1000) * (Math.max(0, depthMm) / 1000);
  const dropMmPerM = line.fallOneIn === 0 ? 0 : 1000 / line.fallOneIn;
  const wettedLengthM = dropMmPerM === 0 ? line.lengthM : Math.min(line.lengthM, line.damHeightMm / dropMmPerM);
  const stepM = wettedLengthM / WEDGE_SLICES;
  let sum = 0;
  for (let slice = 0; slice <= WEDGE_SLICES; slice++) {
    const weight = slice === 0 || slice === WEDGE_SLICES ? 1 : slice % 2 === 1 ? 4 : 2;
    sum += weight * areaM2(line.damHeightMm - dropMmPerM * slice * stepM);
  }
  return { volumeL: ((sum * stepM) / 3) * 1000 * line.lines, wettedLengthM };
}

/**
 * Height of every support along a line with a fall, from its inlet (the high end) on; one more at the outlet end when the
 * length is no multiple of the spacing.
 *
 * @param lengthM of the line, 0–500
 * @param supportSpacingM 0.05–50
 * @param fallOneIn drop as one in so many, 0 is level
 * @param outletEndHeightM over the floor
 * @source straight line; cases in tests/reference/place/held-water.json
 * @example supportHeights(6, 1.2, 40, 0.85)[0] // { distanceFromInletM: 0, heightM: 1 }
 */
export function supportHeights(
  lengthM: number,
  supportSpacingM: number,
  fallOneIn: number,
  outletEndHeightM: number,
): { readonly distanceFromInletM: number; readonly heightM: number }[] {
  requireRange("supportHeights", "lengthM", lengthM, 0, 500);
  requireRange("supportHeights", "supportSpacingM", supportSpacingM, 0.05, 50);
  requireRange("supportHeights", "fallOneIn", fallOneIn, 0, 10_000);
  requireRange("supportHeights", "outletEndHeightM", outletEndHeightM, -10, 50);
  const spans = Math.ceil(lengthM / supportSpacingM - 1e-9);
  return Array.from({ length: spans + 1 }, (_, support) => {
    const distanceFromInletM = Math.min(lengthM, support * supportSpacingM);
    const dropM = fallOneIn === 0 ? 0 : (lengthM - distanceFromInletM) / fallOneIn;
    return { distanceFromInletM, heightM: outletEndHeightM + dropM };
  });
}

export interface TankRoom {
  /** Water in flight that comes back when the pump stops. */
  readonly drainBackL: number;
  readonly tankPlanAreaM2: number;
  readonly workingLevelM: number;
  readonly tankRimM: number;
}

/** Equal is no overflow. */
const OVERFLOW_TOLERANCE_L = 1e-6;

/**
 * What a tank does when the pump stops: headspace = (rim − working level) × plan area, and whether what comes back fits.
 *
 * @throws RangeError when an argument is outside its range
 * @source box volume; cases in tests/reference/place/held-water.json
 */
export function tankAfterStop(room: TankRoom): {
  readonly headspaceL: number;
  readonly levelRiseM: number;
  readonly overflows: boolean;
  readonly overflowL: number;
} {
  requireRange("tankAfterStop", "tankPlanAreaM2", room.tankPlanAreaM2, 0.001, 10_000);
  requireRange("tankAfterStop", "workingLevelM", room.workingLevelM, 0, room.tankRimM);
  const headspaceL = (room.tankRimM - room.workingLevelM) * room.tankPlanAreaM2 * 1000;
  const overflows = room.drainBackL > headspaceL + OVERFLOW_TOLERANCE_L;
  return {
    headspaceL,
    levelRiseM: room.drainBackL / 1000 / room.tankPlanAreaM2,
    overflows,
    overflowL: overflows ? room.drainBackL - headspaceL : 0,
  };
}

export interface FloodBench {
  readonly areaM2: number;
  readonly floodDepthM: number;
  /** Of the flooded volume, taken up by pots and medium. */
  readonly displacedShare: number;
  readonly fillFlowLph: number;
  readonly drainHoleMm: number;
  readonly drainHoles: number;
  readonly dischargeCoefficient: number;
  /** Taken as empty at this depth. */
  readonly drainedAtDepthM: number;
}

const GRAVITY = 9.80665;

/**
 * A flood and drain bench: what it takes, how long it fills with the drain shut, and how long it empties by itself through
 * sharp-edged holes, t = 2·A·(√h₀ − √h₁)/(C·a·√(2g)) for the free water surface A.
 *
 * @throws RangeError when an argument is outside its range
 * @source Torricelli's law, integrated; case in tests/reference/place/held-water.json
 */
export function floodBench(bench: FloodBench): {
  readonly floodVolumeL: number;
  readonly fillTimeMin: number;
  readonly drainTimeMin: number;
} {
  requireRange("floodBench", "areaM2", bench.areaM2, 0.01, 1000);
  requireRange("floodBench", "floodDepthM", bench.floodDepthM, 0.001, 1);
  requireRange("floodBench", "displacedShare", bench.displacedShare, 0, 0.95);
  requireRange("floodBench", "fillFlowLph", bench.fillFlowLph, 1, 1_000_000);
  requireRange("floodBench", "drainHoleMm", bench.drainHoleMm, 1, 500);
  const surfaceM2 = bench.areaM2 * (1 - bench.displacedShare);
  const floodVolumeL = surfaceM2 * bench.floodDepthM * 1000;
  const holesM2 = bench.drainHoles * Math.PI * (bench.drainHoleMm / 2000) ** 2;
  const drainS =
    (2 * surfaceM2 * (Math.sqrt(bench.floodDepthM) - Math.sqrt(bench.drainedAtDepthM))) /
    (bench.dischargeCoefficient * holesM2 * Math.sqrt(2 * GRAVITY));
  return { floodVolumeL, fillTimeMin: (floodVolumeL / bench.fillFlowLph) * 60, drainTimeMin: drainS / 60 };
}

/**
 * How often an hour a loop's water goes round: flow ÷ working volume.
 * @source definition; case in tests/reference/place/held-water.json
 * @example turnoverPerHour(1200, 200) // 6
 */
export function turnoverPerHour(flowLph: number, workingVolumeL: number): number {
  requireRange("turnoverPerHour", "flowLph", flowLph, 0, 1_000_000);
  requireRange("turnoverPerHour", "workingVolumeL", workingVolumeL, 0.1, 1_000_000);
  return flowLph / workingVolumeL;
}

/**
 * Flow that open channels want together, and what of it comes to one plant.
 * @source sums; case in tests/reference/place/held-water.json
 * @example channelFlow(12, 1.5, 30).neededLph // 1080
 */
export function channelFlow(
  channelsOpen: number,
  flowPerChannelLPerMin: number,
  plantsPerChannel: number,
): { readonly neededLph: number; readonly flowPerPlantLph: number } {
  requireWhole("channelFlow", "channelsOpen", channelsOpen, 0, 100_000);
  requireRange("channelFlow", "flowPerChannelLPerMin", flowPerChannelLPerMin, 0, 1000);
  requireWhole("channelFlow", "plantsPerChannel", plantsPerChannel, 1, 100_000);
  const lineLph = flowPerChannelLPerMin * 60;
  return { neededLph: channelsOpen * lineLph, flowPerPlantLph: lineLph / plantsPerChannel };
}
