/** A value and how it grows: what solvers ask for millions of times is written here, and nothing new is made. */
export interface Rate {
  value: number;
  slope: number;
}

export const newRate = (): Rate => ({ value: 0, slope: 0 });
