"use client";
import type { TankDays } from "@/core/feed/tankDays";
import { quantityText } from "@/core/units/format";
import { CautionNote } from "@/ui/Caution";
import { useUnits } from "@/ui/units";

/** Nitrogen that a square metre of growing ground takes in a season, g. @source usual for vegetables and grass */
const N_G_PER_M2 = 5;

/** What is let out is fertiliser: how much of it, and how much ground takes it. */
export function Discharge({ days, litresOfTank }: { readonly days: TankDays; readonly litresOfTank: number }) {
  const units = useUnits();
  if (days.dischargedL === 0) return null;
  const ground = quantityText(days.nitrogenDischargedG / N_G_PER_M2, "area", units);
  return (
    <div className="mt-4 max-w-3xl">
      <p>
        What is let out is fertiliser: {quantityText(days.nitrogenDischargedG, "mass", units)} of nitrogen in{" "}
        {quantityText(days.dischargedL, "volume", units)}, as much as {ground} of growing ground takes in a season;{" "}
        {quantityText(litresOfTank, "volume", units)} at a time.
      </p>
      <CautionNote
        short="Never on ground that is salty already, nor where it can reach a stream or a well."
        more="Local rules may limit or forbid letting it out: ask first. Spread it thinly over ground that grows something, never twice in one place within a season."
      />
    </div>
  );
}
