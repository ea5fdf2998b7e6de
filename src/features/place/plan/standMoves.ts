import { clashOf } from "@/core/place/houseChecks";
import { STEP_M, stretched } from "@/core/place/layout/stretch";
import { standFootprint } from "@/core/place/standLayout";
import type { House } from "@/core/garden/garden";
import type { Stand } from "@/core/garden/garden";
import { inMm } from "@/core/units/rounded";

/** Whether two drawings of a stand are the same. */
export function sameSpot(a: Stand, b: Stand): boolean {
  return a.xM === b.xM && a.yM === b.yM && a.turned === b.turned && JSON.stringify(a.spec) === JSON.stringify(b.spec);
}

/** The first free place for a copy, an aisle away to the right of or below the first one; where the first one is if there is none. */
export function freeSpot(stand: Stand, house: House, others: readonly Stand[]): { xM: number; yM: number } {
  const { lengthM, widthM } = standFootprint(stand);
  const near = [
    { xM: stand.xM, yM: stand.yM + widthM + 0.6 },
    { xM: stand.xM + lengthM + 0.6, yM: stand.yM },
  ];
  const grid = Array.from({ length: Math.ceil(house.widthM / 0.25) * Math.ceil(house.lengthM / 0.25) }, (_, index) => {
    const across = Math.ceil(house.lengthM / 0.25);
    return { xM: (index % across) * 0.25, yM: Math.floor(index / across) * 0.25 };
  });
  for (const spot of [...near, ...grid]) {
    const tried = { ...stand, id: -1, xM: inMm(spot.xM), yM: inMm(spot.yM) };
    if (!clashOf(house, tried, others)) return { xM: tried.xM, yM: tried.yM };
  }
  return { xM: stand.xM, yM: stand.yM };
}

/** "Leaf bank" → "Leaf bank 2", the first number that is free. */
export function nextName(name: string, others: readonly { readonly name: string }[]): string {
  const stem = name.replace(/ \d+$/u, "");
  for (let number = 2; ; number++)
    if (!others.some((other) => other.name === `${stem} ${number}`)) return `${stem} ${number}`;
}

/** A stand longer, wider, or with one line more: what an arrow key with Shift does. */
export function nudgedSize(stand: Stand, along: number, across: number): Stand["spec"] {
  const { lengthM, widthM } = standFootprint({ ...stand, turned: false });
  const bigger = (spec: Stand["spec"], side: "alongM" | "acrossM", by: number, fromM: number): Stand["spec"] => {
    if (by === 0) return spec;
    // Whole lines come and go: try further until something changes.
    for (let steps = 1; steps <= 80; steps++) {
      const next = stretched(spec, { [side]: fromM + by * steps * STEP_M });
      if (JSON.stringify(next) !== JSON.stringify(spec)) return next;
    }
    return spec;
  };
  return bigger(bigger(stand.spec, "alongM", along, lengthM), "acrossM", across, widthM);
}
