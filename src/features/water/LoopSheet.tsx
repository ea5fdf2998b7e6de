"use client";
import { useState } from "react";
import { clockText, quantityText } from "@/core/units/format";
import type { LoopLight } from "@/core/garden/loopLight";
import type { Remedy } from "@/core/garden/remedies";
import type { Ladder } from "@/core/water/ladder";
import type { TankLimits } from "@/core/garden/tank";
import type { StandFlowView } from "@/core/garden/standFlows";
import type { Loop, Stand } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { usePageRouter } from "@/ui/PageLink";
import { Picker } from "@/ui/Picker";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { useUnits } from "@/ui/units";
import { LoopNeed, type LoopNeedProps } from "./LoopNeed";
import { TimerChecks, type TimerChecksProps } from "./TimerChecks";
import { ClockRing } from "@/features/frame/plan/ClockRing";
import { Tightest, TriedRemedy } from "./Tightest";
import { RungLadder } from "./RungLadder";
import { StandFlows } from "./StandFlows";
import { timerWords } from "./words";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const LoopForm = later(() => import("./LoopForm").then((part) => part.LoopForm));

interface Named {
  readonly id: number;
  readonly name: string;
}

export interface LoopSheetProps {
  readonly loops: readonly Named[];
  readonly loop: Loop | null;
  readonly ladder: Ladder | null;
  /** What would ease it, tried. */
  readonly remedies: readonly Remedy[];
  readonly need: LoopNeedProps["need"];
  readonly checks: Omit<TimerChecksProps, "timer"> | null;
  readonly limits: TankLimits | null;
  readonly flows: readonly StandFlowView[];
  readonly stands: readonly Stand[];
  /** What the water can be followed to. */
  readonly banks: readonly { readonly key: string; readonly name: string }[];
  readonly recipes: readonly Named[];
  readonly sources: readonly Named[];
}

/** A loop from source to plant, its tightest rung in words, and its timer. */
export function LoopSheet(props: LoopSheetProps) {
  const { loops, loop, ladder, remedies, need, checks, limits, flows, stands, banks, recipes, sources } = props;
  const units = useUnits();
  const router = usePageRouter();
  const [editing, setEditing] = useOpened<"loop" | "new">("water");
  const [tried, setTried] = useState<Remedy | null>(null);
  return (
    <>
      <Picker href="/water" query="loop" rows={loops} chosen={loop?.id ?? null}>
        <Only right="plan">
          {loop && <Button onClick={() => setEditing("loop")}>Change this loop</Button>}
          <Button look="quiet" data-key="n" onClick={() => setEditing("new")}>
            New loop
          </Button>
        </Only>
      </Picker>
      {loop && ladder ? (
        <div className="grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_330px]">
          <div>
            {banks.length > 1 && (
              <p className="sentence no-print mb-3 text-xl">
                The water is followed to{" "}
                <ChoiceBlank
                  name="bank"
                  label="The water is followed to"
                  value={(tried?.ladder ?? ladder).followed ?? banks[0]!.key}
                  options={banks.map(({ key, name }) => ({ value: key, label: name }))}
                  onValue={(key) => router.push(`/water?loop=${loop.id}&bank=${key}`, { scroll: false })}
                />
                .
              </p>
            )}
            {tried && <TriedRemedy loop={loop} remedy={tried} onDone={() => setTried(null)} />}
            <RungLadder ladder={tried?.ladder ?? ladder} />
            <StandFlows flows={flows} />
          </div>
          <aside>
            <Tightest ladder={ladder} remedies={remedies} tried={tried} onTry={setTried} />
            <h2 className="mt-6 text-2xl">Timer</h2>
            <div className="mt-2 flex items-center gap-4">
              <ClockRing timer={loop.timer} minutes={ladder.runMinutesPerDay} {...checks?.light} />
              <div>
                <p>{timerWords(loop.timer)}</p>
                {checks && checks.light.windows.length > 0 && (
                  <p className="text-sm text-soft">{lightText(checks.light.windows)}</p>
                )}
                {loop.turns > 1 && <p>Banks in {loop.turns} turns</p>}
              </div>
            </div>
            {checks && <TimerChecks key={loop.id} timer={loop.timer} {...checks} />}
            <LoopNeed loop={loop} need={need} />
            {limits && limits.drainBackL > 0 && (
              <p className="mt-4 border-l-[6px] border-water bg-water-pale px-3 py-2 text-sm">
                {quantityText(limits.drainBackL, "volume", units)} drain back when the pump stops: fill the tank no
                higher than{" "}
                <Why
                  label="Highest safe level"
                  how="The tank less 3 % freeboard, less what drains back when the pump stops: from the lines, and out of the pump's pipe unless a non-return valve keeps it full."
                  inputs={[
                    ["tank", quantityText(loop.tankL, "volume", units)],
                    ["runs back", quantityText(limits.drainBackL, "volume", units)],
                    ["of that, out of the pipe", quantityText(limits.pipeL, "volume", units)],
                  ]}
                >
                  {quantityText(limits.greatestL, "volume", units)}
                </Why>{" "}
                of {quantityText(loop.tankL, "volume", units)}.
                {loop.normalFillL > limits.greatestL && (
                  <b> Its normal fill level is over that: it overflows at the next power cut.</b>
                )}
              </p>
            )}
            <p className="mt-4 text-sm text-soft">
              Pumps and lamps near water belong on a residual-current protected circuit with a drip loop, by a licensed
              electrician; a mains connection needs the backflow prevention that the local code asks for.
            </p>
          </aside>
        </div>
      ) : (
        <Empty
          title="No loop yet"
          example="A loop is a tank and what it waters. For instance a 600 L tank with a pump of 6 000 L/h at 1 m that feeds 36 channels at 1.5 L/min and runs all day."
        >
          <Only right="plan">
            <Button look="strong" onClick={() => setEditing("new")}>
              Enter a loop
            </Button>
          </Only>
        </Empty>
      )}
      <Drawer
        open={editing !== null}
        onClose={() => setEditing(null)}
        title={editing === "loop" ? `Change the ${loop?.name} loop` : "New loop"}
      >
        <LoopForm
          loop={editing === "loop" ? loop : null}
          recipes={recipes}
          sources={sources}
          stands={editing === "loop" ? stands : []}
          onDone={() => setEditing(null)}
        />
      </Drawer>
    </>
  );
}

/** When it is light where a loop waters. */
function lightText(windows: LoopLight["windows"]): string {
  const times = new Set(
    windows.map(({ fromMin, toMin }) => `${clockText(Math.round(fromMin))}–${clockText(Math.round(toMin))}`),
  );
  return `light ${[...times].join(", ")}`;
}
