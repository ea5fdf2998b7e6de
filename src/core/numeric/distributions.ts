import { requireRange } from "../units/range";

const LANCZOS = [
  676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406, 12.507343278686905,
  -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
];

/** ln Γ(x). @param x 1e-6–1e9 @source Lanczos 1964, g = 7 */
export function logGamma(x: number): number {
  requireRange("logGamma", "x", x, 1e-6, 1e9);
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const shifted = x - 1;
  const sum = LANCZOS.reduce((all, one, at) => all + one / (shifted + at + 1), 0.9999999999998099);
  const base = shifted + LANCZOS.length - 0.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(base) - base + Math.log(sum);
}

/**
 * Regularised incomplete beta function I(x; a, b).
 * @param a, b over 0
 * @param x 0–1
 * @source continued fraction by Lentz's method
 */
export function incompleteBeta(a: number, b: number, x: number): number {
  requireRange("incompleteBeta", "a", a, 1e-3, 1e7);
  requireRange("incompleteBeta", "b", b, 1e-3, 1e7);
  requireRange("incompleteBeta", "x", x, 0, 1);
  if (x === 0 || x === 1) return x;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(a, b, x)) / a : 1 - (front * betaFraction(b, a, 1 - x)) / b;
}

const TINY = 1e-300;

function betaFraction(a: number, b: number, x: number): number {
  const held = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / held(1 - ((a + b) * x) / (a + 1));
  let result = d;
  for (let m = 1; m <= 500; m++) {
    for (const term of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1)),
    ]) {
      d = 1 / held(1 + term * d);
      c = held(1 + term / c);
      result *= c * d;
    }
    if (Math.abs(c * d - 1) < 1e-15) break;
  }
  return result;
}

/** Φ(x) of the standard normal distribution. @param x −40 to 40 @source power series; continued fraction in the tails */
export function normalCdf(x: number): number {
  requireRange("normalCdf", "x", x, -1e6, 1e6);
  if (Math.abs(x) > 5) {
    if (Math.abs(x) > 38) return x > 0 ? 1 : 0;
    let fraction = Math.abs(x);
    for (let k = 60; k > 0; k--) fraction = Math.abs(x) + k / fraction;
    const tail = normalDensity(x) / fraction;
    return x > 0 ? 1 - tail : tail;
  }
  let term = x;
  let sum = x;
  for (let k = 1; k < 200 && Math.abs(term) > 1e-18 * Math.abs(sum); k++) {
    term *= (x * x) / (2 * k + 1);
    sum += term;
  }
  return 0.5 + normalDensity(x) * sum;
}

const normalDensity = (x: number) => Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI);

/** z with Φ(z) = p. @param p 1e-9 to 1 − 1e-9 */
export function normalQuantile(p: number): number {
  requireRange("normalQuantile", "p", p, 1e-9, 1 - 1e-9);
  return solved((z) => normalCdf(z) - p, -10, 10);
}

/** P(|T| ≥ |t|) of Student's distribution. @param df 1e-2–1e6 @source incomplete beta */
export function studentTwoSided(t: number, df: number): number {
  requireRange("studentTwoSided", "t", t, -1e8, 1e8);
  requireRange("studentTwoSided", "df", df, 0.01, 1e6);
  return incompleteBeta(df / 2, 0.5, df / (df + t * t));
}

/** t of which so much lies outside on both sides together. @param p 1e-6 to 1 − 1e-6 */
export function studentQuantile(p: number, df: number): number {
  requireRange("studentQuantile", "p", p, 1e-6, 1 - 1e-6);
  requireRange("studentQuantile", "df", df, 0.5, 1e6);
  return solved((t) => p - studentTwoSided(t, df), 0, 1e6);
}

const PANELS = 2000;

/**
 * P(T > t) of the noncentral t distribution.
 * @param df 1–1e6
 * @param shift its noncentrality, −100 to 100
 * @source the normal tail, averaged over chi by Simpson's rule
 */
export function noncentralTail(t: number, df: number, shift: number): number {
  requireRange("noncentralTail", "t", t, -1e6, 1e6);
  requireRange("noncentralTail", "df", df, 1, 1e6);
  requireRange("noncentralTail", "shift", shift, -100, 100);
  const middle = Math.sqrt(df);
  const [from, to] = [Math.max(1e-9, middle - 9), middle + 9];
  const logScale = (1 - df / 2) * Math.LN2 - logGamma(df / 2);
  const density = (x: number) => Math.exp(logScale + (df - 1) * Math.log(x) - (x * x) / 2);
  const value = (x: number) => density(x) * (1 - normalCdf((t * x) / middle - shift));
  const step = (to - from) / PANELS;
  let sum = value(from) + value(to);
  for (let at = 1; at < PANELS; at++) sum += (at % 2 === 1 ? 4 : 2) * value(from + at * step);
  return Math.min(1, (sum * step) / 3);
}

/** Where a rising function is 0, by halving. */
function solved(rising: (x: number) => number, low: number, high: number): number {
  let [under, over] = [low, high];
  for (let at = 0; at < 200 && over - under > 1e-14 * Math.max(1, Math.abs(over)); at++) {
    const middle = (under + over) / 2;
    if (rising(middle) < 0) under = middle;
    else over = middle;
  }
  return (under + over) / 2;
}
