"use client";
import { LOOP } from "@/core/garden/entities/water";
import type { Loop } from "@/core/garden/garden";
import type { Remedy } from "@/core/garden/remedies";
import type { Ease, Ladder, Rung } from "@/core/water/ladder";
import type { UnitPreferences } from "@/core/units/dimensions";
import { formValues } from "@/features/frame/form/formValues";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { saveLoop } from "@/server/water/actions";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";
import { COST_WORDS, EASE_COST, easeWords, rungName } from "./words";

/** What would ease the rungs that fall short, where none does the tightest one; the cheapest first. */
function easesOf(ladder: Ladder, tight: Rung): Ease[] {
  const short = ladder.rungs.filter((rung) => rung.verdict === "short");
  const eases = (short.length > 0 ? short : [tight]).flatMap((rung) => rung.eases);
  const costs = Object.keys(COST_WORDS);
  return [...new Map(eases.map((ease) => [JSON.stringify(ease), ease])).values()].sort(
    (one, two) => costs.indexOf(EASE_COST[one.kind]) - costs.indexOf(EASE_COST[two.kind]),
  );
}

const tightestOf = ({ rungs, tightest }: Ladder): Rung | null => (tightest === null ? null : rungs[tightest]!);

function marginWords(rung: Rung, units: UnitPreferences): string {
  const name = rungName(rung, units);
  const margin = Math.round(Math.abs(rung.ratio - 1) * 100);
  if (rung.verdict === "short") return `${name} can give ${margin} % less than needed.`;
  if (rung.ratio === Infinity) return "Nothing is needed.";
  return `${name} can give ${margin > 300 ? "several times what is" : `${margin} % more than`} needed: nothing falls short.`;
}

/** The rung with the least to spare, and what would ease it: each can be tried on the ladder before it is taken. */
export function Tightest({
  ladder,
  remedies,
  tried,
  onTry,
}: {
  ladder: Ladder;
  remedies: readonly Remedy[];
  tried: Remedy | null;
  onTry: (remedy: Remedy | null) => void;
}) {
  const units = useUnits();
  const rung = tightestOf(ladder);
  if (!rung) return null;
  return (
    <section aria-label="Smallest margin">
      <h2 className="text-2xl">Smallest margin: {rungName(rung, units).toLowerCase()}</h2>
      <p className="mt-1">{marginWords(rung, units)}</p>
      <ul className="mt-2 space-y-2">
        {easesOf(ladder, rung).map((ease) => {
          const remedy = remedies.find((one) => JSON.stringify(one.ease) === JSON.stringify(ease));
          const isTried = tried !== null && remedy === tried;
          return (
            <li key={JSON.stringify(ease)} className="border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
              {easeWords(ease, units)} <span className="text-sm text-soft">({COST_WORDS[EASE_COST[ease.kind]]})</span>
              {remedy && (
                <Button
                  look="quiet"
                  className="ml-2"
                  aria-pressed={isTried}
                  onClick={() => onTry(isTried ? null : remedy)}
                >
                  {isTried ? "Leave it" : "Try it"}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Over a ladder that is only tried: what was changed, what it comes to, and whether it is taken. */
export function TriedRemedy({ loop, remedy, onDone }: { loop: Loop; remedy: Remedy; onDone: () => void }) {
  const units = useUnits();
  const save = useCommand(saveLoop, { done: "The loop is changed" });
  const rung = tightestOf(remedy.ladder);
  const take = async () => {
    if ((await save.run({ ...formValues(LOOP, loop), ...remedy.change })).ok) onDone();
  };
  return (
    <div role="status" className="mb-3 border-l-[6px] border-water bg-water-pale px-3 py-2">
      <p>
        <b>Tried, not yet real.</b> {easeWords(remedy.ease, units)}{" "}
        {rung && `Then the smallest margin: ${marginWords(rung, units)}`}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <Only right="plan">
          <Button look="strong" disabled={save.busy} onClick={() => void take()}>
            It is so now: keep it
          </Button>
        </Only>
        <Button onClick={onDone}>Back to how it is</Button>
      </div>
    </div>
  );
}
