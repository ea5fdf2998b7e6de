export const SCALES = [20, 25, 50, 100, 200, 500] as const;
/** Printable width and height on the sheet lying, 10 mm kept free all round and room for the line below. */
export const PAPERS = { A4: [277, 174], A3: [400, 261], letter: [259, 180] } as const;
export type Paper = keyof typeof PAPERS;

/** Kept round the house for names. */
export const MARGIN_M = 0.5;
/** The largest scale at which a house fits one sheet. */
export function fittingScale(house: { readonly lengthM: number; readonly widthM: number }, paper: Paper): number {
  const [w, h] = PAPERS[paper];
  const fits = (scale: number) =>
    ((house.lengthM + 2 * MARGIN_M) * 1000) / scale <= w && ((house.widthM + 2 * MARGIN_M) * 1000) / scale <= h;
  return SCALES.find(fits) ?? SCALES.at(-1)!;
}
