"use client";
import { useMemo } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { pumpSystem, realPumpOf, type LoopPump, type RealPump } from "@/core/water/loopPump";
import { quantityText } from "@/core/units/format";
import { pipeHeadLossM } from "@/core/water/pipeFriction";
import { curveOf } from "@/core/water/pumpCurve";
import { pumpDuty } from "@/core/water/pumpDuty";
import { PumpPicture } from "@/features/frame/plan/PumpPicture";
import { useUnits } from "@/ui/units";

/** What the pump gives through its pipe, drawn while its figures are typed. @param wantedLph by what stands on the loop */
export function PumpSoFar({ wantedLph }: { readonly wantedLph: number | null }) {
  const units = useUnits();
  const { control } = useFormContext();
  const pump = useWatch({ control, name: "pump" }) as LoopPump | null;
  const real = pump && realPumpOf(pump);
  const worked = useMemo(() => real && workedOut(real), [real]);
  if (!real) return null;
  if (!worked) return <p className="text-soft">The pump is drawn here once its figures are complete.</p>;
  const { system, duty, curve } = worked;
  const flow = (lph: number) => quantityText(lph, "flow", units);
  return (
    <figure className="mt-3">
      <figcaption>
        {duty.kind === "cannot-lift" ? (
          <strong className="text-alarm">It cannot lift the water that high.</strong>
        ) : (
          <>
            It gives <span className="figure">{flow(duty.flowLph)}</span>
            {wantedLph !== null && wantedLph > 0 && `; ${flow(wantedLph)} are wanted`}
          </>
        )}
      </figcaption>
      <PumpPicture
        curve={curve}
        system={(lph) => system.staticLiftM + system.headWantedM + pipeHeadLossM(lph, system.pipe)}
        duty={duty}
        wantedLph={wantedLph}
        flow={flow}
        length={(metres) => quantityText(metres, "length", units)}
      />
    </figure>
  );
}

/** Null while a figure is missing or out of its range. */
function workedOut(pump: RealPump) {
  try {
    const system = pumpSystem(pump);
    return { system, duty: pumpDuty(system), curve: curveOf(pump) };
  } catch (error) {
    if (error instanceof RangeError || error instanceof TypeError) return null;
    throw error;
  }
}
