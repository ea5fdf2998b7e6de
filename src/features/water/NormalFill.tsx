"use client";
import { useEffect, useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { roundIn } from "@/core/units/rounded";
import { useUnits } from "@/ui/units";

/** As full as a new tank is taken to be kept: room for what runs back, until its lines are known. */
export const FILL_SHARE = 0.8;

/** Another tank has another normal level, as long as that was left as it was taken. */
export function NormalFill() {
  const units = useUnits();
  const { control, getValues, setValue } = useFormContext();
  const tankL = useWatch({ control, name: "tankL" }) as unknown;
  const lastL = useRef(tankL);
  useEffect(() => {
    const takenAs = (litres: number) => roundIn(litres * FILL_SHARE, "volume", units, "down");
    const before = lastL.current;
    if (typeof tankL !== "number" || tankL <= 0 || typeof before !== "number") return;
    lastL.current = tankL;
    if (Math.abs((getValues("normalFillL") as number) - takenAs(before)) < 1e-6)
      setValue("normalFillL", takenAs(tankL), { shouldDirty: true });
  }, [tankL, units, getValues, setValue]);
  return null;
}
