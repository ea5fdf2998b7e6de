import { newRate, type Rate } from "../numeric/rate";
import { requireRange } from "../units/range";

export const LAMINAR_END_RE = 2000;
const TURBULENT_START_RE = 4000;

/**
 * Darcy friction factor: 64/Re up to 2000, Swamee–Jain from 4000, and between them the cubic in Re that is
 * continuous in value and slope at both ends.
 * @param reynolds Reynolds number, over 0
 * @param relativeRoughness roughness ÷ bore, 0–0.5
 * @throws RangeError when an argument is outside its range
 * @source Swamee and Jain 1976, J. Hydraulics Div. ASCE 102(5)
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  requireRange("frictionFactor", "reynolds", reynolds, 1e-12, 1e12);
  requireRange("frictionFactor", "relativeRoughness", relativeRoughness, 0, 20);
  return factorOf(relativeRoughness)(reynolds).factor;
}

interface Factor {
  readonly factor: number;
  /** For each unit of Re. */
  readonly slope: number;
}

function factorOf(relativeRoughness: number): (reynolds: number) => Factor {
  const span = TURBULENT_START_RE - LAMINAR_END_RE;
  const end = swameeJain(TURBULENT_START_RE, relativeRoughness);
  const [low, high] = [64 / LAMINAR_END_RE, end.factor];
  const [lowSlope, highSlope] = [(-64 / LAMINAR_END_RE ** 2) * span, end.slope * span];
  return (reynolds) => {
    if (reynolds <= LAMINAR_END_RE) return { factor: 64 / reynolds, slope: -64 / reynolds ** 2 };
    if (reynolds >= TURBULENT_START_RE) return swameeJain(reynolds, relativeRoughness);
    // Hermite form of the cubic: values and slopes at both ends.
    const t = (reynolds - LAMINAR_END_RE) / span;
    const s = 1 - t;
    return {
      factor:
        (1 + 2 * t) * s * s * low + t * s * s * lowSlope + t * t * (3 - 2 * t) * high + t * t * (t - 1) * highSlope,
      slope: (6 * t * (t - 1) * (low - high) + s * (1 - 3 * t) * lowSlope + t * (3 * t - 2) * highSlope) / span,
    };
  };
}

function swameeJain(reynolds: number, relativeRoughness: number): Factor {
  const viscous = 5.74 * reynolds ** -0.9;
  const inner = relativeRoughness / 3.7 + viscous;
  const log = Math.log10(inner);
  const factor = 0.25 / log ** 2;
  return { factor, slope: (1.8 * factor * Math.LOG10E * viscous) / (log * inner * reynolds) };
}

/** Writes f·Re² and how it grows with Re: what friction is made of. */
type FrictionTable = (reynolds: number, out: Rate) => void;

const KNOTS = 64;
const DOUBLINGS = 20;
const TABLES_KEPT = 64;
const tables = new Map<number, FrictionTable>();

/**
 * f·Re² of a roughness from Re 2000 on. Solvers ask for it millions of times: from Re 4000 it is read from a table that fills
 * itself, 64 knots to each doubling with cubics between them, within 1e-9 of the formula.
 *
 * @source as frictionFactor
 */
export function frictionTable(relativeRoughness: number): FrictionTable {
  const known = tables.get(relativeRoughness);
  if (known) return known;
  if (tables.size >= TABLES_KEPT) tables.clear();
  const table = tableOf(factorOf(relativeRoughness));
  tables.set(relativeRoughness, table);
  return table;
}

function tableOf(factorAt: (reynolds: number) => Factor): FrictionTable {
  const exact: FrictionTable = (reynolds, out) => {
    const { factor, slope } = factorAt(reynolds);
    out.value = factor * reynolds ** 2;
    out.slope = 2 * factor * reynolds + slope * reynolds ** 2;
  };
  const values = new Float64Array(KNOTS * DOUBLINGS + 1).fill(NaN);
  const slopes = new Float64Array(KNOTS * DOUBLINGS + 1);
  const fill = (knot: number) => {
    const base = 2 ** Math.floor(knot / KNOTS);
    const found = newRate();
    exact(TURBULENT_START_RE * base * (1 + (knot % KNOTS) / KNOTS), found);
    values[knot] = found.value;
    slopes[knot] = found.slope;
  };
  return (reynolds, out) => {
    const ratio = reynolds / TURBULENT_START_RE;
    const doubling = 31 - Math.clz32(ratio);
    if (!(ratio >= 1) || doubling >= DOUBLINGS) return exact(reynolds, out);
    const base = 1 << doubling;
    const place = (ratio / base - 1) * KNOTS;
    const knot = doubling * KNOTS + Math.floor(place);
    if (Number.isNaN(values[knot])) fill(knot);
    if (Number.isNaN(values[knot + 1])) fill(knot + 1);
    const step = (TURBULENT_START_RE * base) / KNOTS;
    const t = place - Math.floor(place);
    const s = 1 - t;
    const [low, high] = [values[knot]!, values[knot + 1]!];
    const [lowSlope, highSlope] = [slopes[knot]!, slopes[knot + 1]!];
    out.value = (1 + 2 * t) * s * s * low + t * t * (3 - 2 * t) * high + t * s * step * (s * lowSlope - t * highSlope);
    out.slope = (6 * t * s * (high - low)) / step + s * (1 - 3 * t) * lowSlope + t * (3 * t - 2) * highSlope;
  };
}
