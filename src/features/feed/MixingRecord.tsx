import type { MixFact } from "@/core/garden/facts";
import type { StockStrength } from "@/core/feed/stockStrength";
import { dayInWords } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import { useUnits } from "@/ui/units";

export interface Mixed extends MixFact {
  /** By what was left when somebody looked; null where nobody has since. */
  readonly since: StockStrength | null;
}

const SHOWN = 4;

/** The batches of one stock: when, by whom, how much, out of which bags; and how strong the last one is by now. */
export function MixingRecord({ mixes }: { readonly mixes: readonly Mixed[] }) {
  const units = useUnits();
  const [last] = mixes;
  if (!last)
    return (
      <p className="text-sm text-soft">No batch of it is in the log yet: mixing it on the round begins the record.</p>
    );
  const said = last.since && strengthNow(last.since, units);
  return (
    <div>
      {said && (
        <p className={said.isDoubtful ? "border-l-[6px] border-feed bg-feed-pale px-3 py-1.5" : "text-sm text-soft"}>
          {said.words}
        </p>
      )}
      <details className="mt-1">
        <summary className="min-h-8 cursor-pointer text-sm">
          Last mixed on {dayInWords(last.day, "year")}, {quantityText(last.madeL, "volume", units)}, by{" "}
          {last.personName}
        </summary>
        <ul>
          {mixes.slice(0, SHOWN).map((mix) => (
            <li key={mix.entryId} className="border-t border-rule py-1 text-sm">
              <b>{dayInWords(mix.day, "year")}</b> {quantityText(mix.madeL, "volume", units)} by {mix.personName}
              {mix.note && `: ${mix.note}`}
              <span className="block text-soft">
                {mix.salts
                  .map(
                    ({ name, grams, lot }) =>
                      `${name} ${quantityText(grams, "mass", units)}${lot ? `, lot ${lot}` : ""}`,
                  )
                  .join("; ") || "its salts were not kept then"}
              </span>
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}

/** How strong a stock is by what is left of it. */
function strengthNow(
  { verdict, factor, expectedL }: StockStrength,
  units: UnitPreferences,
): { readonly words: string; readonly isDoubtful: boolean } {
  const expected = quantityText(expectedL, "volume", units);
  if (verdict === "as-mixed")
    return { words: `As strong as it was mixed: ${expected} were to be left.`, isDoubtful: false };
  if (verdict === "more-left")
    return {
      words: `More is left than the ${expected} that were to be: less was drawn than the plan says. Calibrate the injector, or look at the suction hose.`,
      isDoubtful: true,
    };
  return {
    words: `${expected} were to be left. If what is missing dried up, it is ${factor === null ? "much" : `${formatNumber(factor, 2)} times as`} strong${factor === null ? "er" : ""} as it was mixed: make up with water to where it should stand, and keep the lid on. If not, more was drawn than is wanted.`,
    isDoubtful: true,
  };
}
