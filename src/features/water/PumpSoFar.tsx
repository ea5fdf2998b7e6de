"use client";
import { useMemo } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import type { Stand } from "@/core/garden/garden";
import { loopPipes } from "@/core/garden/loopPipes";
import { tryPump } from "@/core/garden/pumpTrial";
import { pumpSystem, realPumpOf, type LoopPump, type RealPump } from "@/core/water/loopPump";
import { quantityText } from "@/core/units/format";
import { pipeHeadLossM } from "@/core/water/pipeFriction";
import { curveOf } from "@/core/water/pumpCurve";
import { pumpDuty } from "@/core/water/pumpDuty";
import { PumpPicture } from "@/features/frame/plan/PumpPicture";
import { useUnits } from "@/ui/units";
import { PumpChart } from "./pump/PumpChart";
import { beginsLateWords, verdictWords } from "./pump/PumpFigures";

interface PumpSoFarProps {
  /** What the loop waters: its lines and banks count, beside the pipe to them. */
  readonly stands: readonly Stand[];
}

/** What the pump gives, drawn while its figures are typed: on all pipes of the loop, or on its own where nothing stands on it yet. */
export function PumpSoFar({ stands }: PumpSoFarProps) {
  const units = useUnits();
  const { control } = useFormContext();
  const pump = useWatch({ control, name: "pump" }) as LoopPump | null;
  const real = pump && realPumpOf(pump);
  const worked = useMemo(() => real && workedOut(real, stands), [real, stands]);
  if (!real) return null;
  if (!worked) return <p className="text-soft">The pump is drawn here once its figures are complete.</p>;
  const flow = (lph: number) => quantityText(lph, "flow", units);
  const beginsLate = beginsLateWords(real, flow);
  if (worked.kind === "network") {
    const { pipes, trial } = worked;
    return (
      <figure className="mt-3">
        <figcaption>
          It gives <span className="figure">{flow(trial.low.flow.flowLph)}</span> with all banks open.{" "}
          <span className={trial.shareOfWanted < 1 ? "font-bold text-alarm" : ""}>{verdictWords(trial, flow)}</span>
        </figcaption>
        {beginsLate && <p className="text-sm">{beginsLate}</p>}
        <PumpChart pipes={pipes} pump={real} trial={trial} isOpen={ALL_OPEN} />
      </figure>
    );
  }
  const { system, duty, curve } = worked;
  return (
    <figure className="mt-3">
      <figcaption>
        {duty.kind === "cannot-lift" ? (
          <strong className="text-alarm">It cannot lift the water that high.</strong>
        ) : (
          <>
            It gives <span className="figure">{flow(duty.flowLph)}</span> through this pipe; what stands on the loop
            will take its own
          </>
        )}
      </figcaption>
      {beginsLate && <p className="text-sm">{beginsLate}</p>}
      <PumpPicture
        curve={curve}
        system={(lph) => system.staticLiftM + system.headWantedM + pipeHeadLossM(lph, system.pipe)}
        duty={duty}
        wantedLph={null}
        flow={flow}
        length={(metres) => quantityText(metres, "length", units)}
      />
    </figure>
  );
}

const ALL_OPEN = () => true;

/** Null while a figure is missing or out of its range. */
function workedOut(pump: RealPump, stands: readonly Stand[]) {
  try {
    const pipes = loopPipes({ pump }, stands);
    if (pipes) return { kind: "network", pipes, trial: tryPump(pipes, pump, ALL_OPEN, 0) } as const;
    const system = pumpSystem(pump);
    return { kind: "pipe", system, duty: pumpDuty(system), curve: curveOf(pump) } as const;
  } catch (error) {
    if (error instanceof RangeError || error instanceof TypeError) return null;
    throw error;
  }
}
