"use client";
import { Switch } from "radix-ui";
import { bankName, type LoopPipes } from "@/core/garden/loopPipes";
import type { PumpTrial } from "@/core/garden/pumpTrial";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

interface BankTableProps {
  readonly pipes: LoopPipes;
  readonly trial: PumpTrial | null;
  readonly closed: ReadonlySet<string>;
  readonly onToggle: (key: string) => void;
}

const SHORT = 0.95;

/** Banks to open and close: what each gets at low water, and what the others get then. */
export function BankTable({ pipes, trial, closed, onToggle }: BankTableProps) {
  const units = useUnits();
  return (
    <section className="mt-4">
      <h2 className="text-2xl">Banks: close one and see what the rest gets</h2>
      <ul className="mt-2">
        {pipes.banks.map((bank, at) => {
          const { key, lines, wantedLph } = bank;
          const isOpen = !closed.has(key);
          const name = bankName(bank);
          const answer = trial?.low.banks[at];
          const share = isOpen && answer ? answer.flow.flowLph / wantedLph : null;
          const isShort = share !== null && share < SHORT;
          const spread =
            answer && share !== null && answer.flow.greatestLph > 0
              ? 1 - answer.flow.leastLph / answer.flow.greatestLph
              : null;
          return (
            <li
              key={key}
              className="grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule py-1 sm:grid-cols-[auto_minmax(0,1fr)_12rem_7rem]"
            >
              <Switch.Root
                checked={isOpen}
                onCheckedChange={() => onToggle(key)}
                aria-label={`${name}: open`}
                className="h-7 w-12 border-2 border-ink bg-sheet data-[state=checked]:bg-water"
              >
                <Switch.Thumb className="block size-4 translate-x-1 rotate-45 border-2 border-ink bg-ground transition-transform data-[state=checked]:translate-x-6" />
              </Switch.Root>
              <span>
                <b>{name}</b>
                <span className="block text-sm text-soft">
                  {counted(lines, "line")}, {quantityText(wantedLph, "flow", units)} wanted
                  {spread !== null && spread >= 0.005 && `; uneven by ${formatNumber(spread * 100)} %`}
                </span>
              </span>
              <span aria-hidden="true" className="relative h-5 border border-rule max-sm:hidden">
                <span
                  className={`absolute inset-y-0 left-0 ${isShort ? "bg-alarm" : "bg-water"}`}
                  style={{ width: `${Math.min(1, (share ?? 0) / 2) * 100}%` }}
                />
                <span className="absolute inset-y-[-3px] left-1/2 border-l-2 border-ink" />
              </span>
              <span className={`sign text-right text-xl ${isShort ? "text-alarm" : ""}`}>
                {share === null ? "closed" : quantityText(answer!.flow.flowLph, "flow", units)}
                {share !== null && (
                  <span className="block font-sans text-sm font-normal">{formatNumber(share * 100)} %</span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
