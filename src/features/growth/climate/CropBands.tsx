import type { CropBand, CropWeek } from "@/core/garden/houseCrops";
import { MONTHS } from "@/core/units/day";

/** Told apart by letter and ground, never by colour alone. */
const SIGN: Readonly<Record<CropWeek, { readonly letter: string; readonly look: string; readonly words: string }>> = {
  good: { letter: "", look: "bg-leaf", words: "inside its bands" },
  cold: { letter: "c", look: "bg-water-pale text-ink", words: "too cold" },
  hot: { letter: "h", look: "bg-alarm-pale text-ink", words: "too hot" },
  dark: { letter: "d", look: "bg-rule text-ink", words: "under half of its light" },
  untold: { letter: "?", look: "bg-sheet text-soft", words: "its air is not told" },
};

/** When the crops of a house are inside their bands of warmth and light, week by week. */
export function CropBands({ bands, houseName }: { readonly bands: readonly CropBand[]; readonly houseName: string }) {
  if (bands.length === 0) return null;
  const shown = new Set(bands.flatMap(({ weeks }) => weeks));
  return (
    <section aria-label="Crops inside their bands">
      <h2 className="text-2xl">Inside their bands in the {houseName}</h2>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] table-fixed border-collapse">
          <colgroup>
            <col className="w-32" />
          </colgroup>
          <thead>
            <tr className="text-sm text-soft">
              <td />
              {MONTHS.map((month) => (
                <th key={month} scope="col" className="text-left font-normal">
                  {month.slice(0, 3)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {bands.map(({ varietyId, name, weeks }) => (
              <tr key={varietyId}>
                <th scope="row" className="truncate pr-2 text-left text-sm font-bold">
                  {name}
                </th>
                <td colSpan={12} className="py-0.5">
                  <div role="img" aria-label={bandWords(weeks)} className="flex h-5 overflow-hidden rounded-sm">
                    {weeks.map((week, at) => (
                      <span
                        key={at}
                        aria-hidden
                        className={`grid flex-1 place-items-center text-[11px] leading-none ${SIGN[week].look}`}
                      >
                        {at === 0 || weeks[at - 1] !== week ? SIGN[week].letter : ""}
                      </span>
                    ))}
                  </div>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 flex flex-wrap gap-x-4 text-sm text-soft">
        {(Object.keys(SIGN) as CropWeek[])
          .filter((week) => shown.has(week))
          .map((week) => (
            <span key={week} className="inline-flex items-center gap-1">
              <span aria-hidden className={`grid size-4 place-items-center text-[11px] ${SIGN[week].look}`}>
                {SIGN[week].letter}
              </span>
              {SIGN[week].words}
            </span>
          ))}
      </p>
    </section>
  );
}

function bandWords(weeks: readonly CropWeek[]): string {
  return (Object.keys(SIGN) as CropWeek[])
    .map((kind) => [SIGN[kind].words, weeks.filter((week) => week === kind).length] as const)
    .filter(([, count]) => count > 0)
    .map(([words, count]) => `${words} in ${count} of 52 weeks`)
    .join(", ");
}
