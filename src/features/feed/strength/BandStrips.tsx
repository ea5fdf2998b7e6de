"use client";
import { scaleLinear } from "d3";
import type { EcWish } from "@/core/feed/sharedEc";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

/** The bands of the crops that share a tank, as wide as they are tolerant, and the strength through all of them. */
export function BandStrips({ wishes, ecMsPerCm }: { readonly wishes: readonly EcWish[]; readonly ecMsPerCm: number }) {
  const units = useUnits();
  const all = wishes.reduce((sum, { plants }) => sum + plants, 0);
  const most = Math.max(ecMsPerCm, ...wishes.map(({ ecHigh }) => ecHigh)) * 1.1;
  const scale = scaleLinear([0, most], [0, 100]);
  const ec = (value: number) => quantityText(value, "ec", units);
  return (
    <ul className="mt-2">
      {[...wishes]
        .sort((a, b) => a.ecLow - b.ecLow)
        .map(({ name, plants, ecLow, ecHigh }) => {
          const isOut = ecMsPerCm < ecLow - 1e-9 || ecMsPerCm > ecHigh + 1e-9;
          return (
            <li key={name} className="grid gap-x-4 py-1 sm:grid-cols-[13rem_minmax(0,1fr)_9rem] sm:items-center">
              <span className={isOut ? "font-bold text-alarm" : ""}>
                {name} <span className="text-sm font-normal text-soft">{Math.round((100 * plants) / all)} %</span>
              </span>
              <div
                role="img"
                aria-label={`${name}: ${ec(ecLow)} to ${ec(ecHigh)}, ${isOut ? "outside" : "within"} at ${ec(ecMsPerCm)}`}
                className="relative h-6 border-b border-rule"
              >
                <span
                  className={`absolute inset-y-1 ${isOut ? "bg-alarm-pale" : "bg-leaf-pale"} border-x-2 ${isOut ? "border-alarm" : "border-leaf"}`}
                  style={{ left: `${scale(ecLow)}%`, width: `${scale(ecHigh) - scale(ecLow)}%` }}
                />
                <span
                  className="absolute inset-y-0 w-1 -translate-x-1/2 bg-ink"
                  style={{ left: `${scale(ecMsPerCm)}%` }}
                />
              </div>
              <span className="text-sm text-soft">
                {ec(ecLow)} – {ec(ecHigh)}
              </span>
            </li>
          );
        })}
    </ul>
  );
}
