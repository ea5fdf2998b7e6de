"use client";
import { Slider } from "radix-ui";
import { editText } from "@/core/units/format";
import type { Blanks } from "@/features/frame/blank/useBlanks";
import { useUnits } from "@/ui/units";
import { HEAD } from "./lineBlanks";

interface Range {
  readonly name: string;
  readonly label: string;
  readonly least: number;
  readonly greatest: number;
  readonly step: number;
}

const SPACING: Range = { name: "emitterSpacingM", label: "Spacing", least: 0.1, greatest: 1, step: 0.05 };
const OTHERS: readonly Range[] = [
  { name: "lateralBoreMm", label: "Bore", least: 3, greatest: 30, step: 0.2 },
  { name: "fallM", label: "Fall", least: -2, greatest: 2, step: 0.05 },
  { name: HEAD.name, label: "Head", least: 0.5, greatest: 30, step: 0.5 },
];

/** The blanks of the sentence to be dragged: the picture follows. */
export function LineSliders({ blanks, isBed }: { readonly blanks: Blanks; readonly isBed: boolean }) {
  const units = useUnits();
  return (
    <div className="no-print mt-4 grid gap-3" aria-label="Try another line" role="group">
      {[...(isBed ? [SPACING] : []), ...OTHERS].map(({ name, label, least, greatest, step }) => {
        const { dimension } = blanks.measures.find((one) => one.name === name)!;
        const value = Math.min(greatest, Math.max(least, blanks.good[name] ?? least));
        return (
          <div key={name} className="grid grid-cols-[4.5rem_1fr] items-center gap-3">
            <span>{label}</span>
            <Slider.Root
              min={least}
              max={greatest}
              step={step}
              value={[value]}
              onValueChange={([next]) => blanks.type(name, editText(Number(next!.toFixed(3)), dimension, units))}
              className="relative flex h-8 touch-none select-none items-center"
            >
              <Slider.Track className="relative h-1 grow bg-rule">
                <Slider.Range className="absolute h-full bg-water" />
              </Slider.Track>
              <Slider.Thumb
                aria-label={label}
                aria-valuetext={blanks.texts[name]}
                className="block size-6 rotate-45 border-2 border-ink bg-sheet"
              />
            </Slider.Root>
          </div>
        );
      })}
    </div>
  );
}
