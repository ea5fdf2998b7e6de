"use client";
import { useMemo, useState } from "react";
import type { Loop, Stand } from "@/core/garden/garden";
import { loopPipes } from "@/core/garden/loopPipes";
import { neededHeadM, tryPump } from "@/core/garden/pumpTrial";
import { realPumpOf } from "@/core/water/loopPump";
import type { KnownPump } from "@/core/water/pumpCurve";
import { inText } from "@/core/units/rounded";
import { useUnits } from "@/ui/units";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { BankTable } from "./BankTable";
import { NoPump } from "./NoPump";
import { PumpChart } from "./PumpChart";
import { PumpChoice } from "./PumpChoice";
import { PumpFigures } from "./PumpFigures";

export interface PumpSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: Loop | null;
  readonly stands: readonly Stand[];
  readonly minutesPerDay: number;
  readonly longestRunMin: number;
}

/** A loop's pump on its pipes: where it works, what each bank gets, and what another pump would do. */
export function PumpSheet({ loops, loop, stands, minutesPerDay, longestRunMin }: PumpSheetProps) {
  const units = useUnits();
  return (
    <>
      {loops.length > 1 && <Picker href="/water/pump" query="loop" rows={loops} chosen={loop?.id ?? null} />}
      {loop?.pump ? (
        <Pipes
          key={loop.id}
          loop={loop}
          pump={loop.pump}
          stands={stands}
          minutesPerDay={minutesPerDay}
          longestRunMin={longestRunMin}
        />
      ) : (
        <Empty
          title="No pump yet"
          example={inText(
            "A loop with a pump is looked at here: for instance one of {6000 L/h} at no lift and {5 m} at most that feeds 36 channels {1.2 m} up through {14 m} of pipe.",
            units,
          )}
        />
      )}
    </>
  );
}

const HEAVY =
  "A full tank of a cubic metre weighs over a tonne: level, bearing ground, a stand made for it, and nobody under it; covered and fenced against children.";
const CAUTIONS = {
  pump: {
    short: "Water and electricity: residual-current circuit, drip loop, licensed electrician.",
    more: `Pumps near water belong on a residual-current (ground-fault) protected circuit with a drip loop in the cable, put in by a licensed electrician. A pump on the mains needs the backflow prevention that the local code asks for. ${HEAVY}`,
  },
  mains: {
    short: "Drinking water: backflow prevention as the local code asks for.",
    more: "Between drinking water and any drip line, tank or injector belongs an air gap or a tested device, as the local code asks for, put in by a licensed plumber. Label outlets that are not for drinking.",
  },
  gravity: { short: "A full tank is heavy: level, bearing ground and a stand made for it.", more: HEAVY },
} as const;

interface PipesProps {
  readonly loop: Loop;
  readonly pump: NonNullable<Loop["pump"]>;
  readonly stands: readonly Stand[];
  readonly minutesPerDay: number;
  readonly longestRunMin: number;
}

function Pipes({ loop, pump: own, stands, minutesPerDay, longestRunMin }: PipesProps) {
  const pipes = useMemo(() => loopPipes(loop, stands), [loop, stands]);
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const [other, setOther] = useState<KnownPump | null>(null);
  const real = realPumpOf(own);
  const pump = other ?? real;
  const worked = useMemo(() => {
    if (!pipes) return null;
    const isOpen = (key: string) => !closed.has(key);
    if (!pipes.banks.some(({ key }) => isOpen(key))) return { kind: "all-closed" as const };
    const trial = tryPump(pipes, pump, isOpen, minutesPerDay);
    const clean = pipes.filter ? loopPipes(loop, stands, "clean") : null;
    return {
      kind: "solved" as const,
      isOpen,
      trial,
      clean: clean && tryPump(clean, pump, isOpen, minutesPerDay),
      needsM: trial.shareOfWanted < 1 ? neededHeadM(pipes, isOpen) : null,
    };
  }, [pipes, pump, closed, minutesPerDay, loop, stands]);
  if (!pipes || !worked)
    return <p className="text-xl">Nothing that wants water through pipes stands on the {loop.name} loop yet.</p>;
  const toggle = (key: string) =>
    setClosed((now) => new Set(now.has(key) ? [...now].filter((one) => one !== key) : [...now, key]));
  return (
    <div className="grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_21rem] wide:grid-rows-[auto_1fr]">
      <div className="wide:col-start-2 wide:row-start-1">
        {worked.kind === "solved" && (
          <PumpFigures
            loop={loop}
            trial={worked.trial}
            clean={worked.clean}
            neededM={worked.needsM}
            banks={pipes.banks.length}
            minutesPerDay={minutesPerDay}
          />
        )}
      </div>
      <div className="min-w-0 wide:col-start-1 wide:row-span-2 wide:row-start-1">
        {worked.kind === "solved" && !pump && (
          <NoPump
            loop={loop}
            pump={own}
            pipes={pipes}
            trial={worked.trial}
            isOpen={worked.isOpen}
            longestRunMin={longestRunMin}
          />
        )}
        {worked.kind === "solved" && pump ? (
          <PumpChart pipes={pipes} pump={pump} trial={worked.trial} isOpen={worked.isOpen} />
        ) : (
          worked.kind === "all-closed" && <p className="py-10 text-xl">Every bank is closed: open one.</p>
        )}
        <BankTable
          pipes={pipes}
          trial={worked.kind === "solved" ? worked.trial : null}
          closed={closed}
          onToggle={toggle}
        />
      </div>
      <aside className="wide:col-start-2 wide:row-start-2">
        {other && (
          <p className="mt-4 border-l-[6px] border-water bg-water-pale px-3 py-2">
            Another pump is tried here; the {loop.name} loop keeps its own until you put this one in.{" "}
            <Button look="quiet" onClick={() => setOther(null)}>
              Back to its own
            </Button>
          </p>
        )}
        {real && (
          <PumpChoice
            loop={loop}
            own={real}
            chosen={other}
            pipes={pipes}
            closed={closed}
            minutesPerDay={minutesPerDay}
            onTry={setOther}
          />
        )}
        <CautionNote {...CAUTIONS[real ? "pump" : own.kind === "mains" ? "mains" : "gravity"]} />
      </aside>
    </div>
  );
}
