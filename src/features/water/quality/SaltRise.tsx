"use client";
import { useState } from "react";
import { number } from "@/core/place/kinds/shared";
import { daysUnder, USUAL_LIMIT_MG_PER_L, type Gathering, type LoopRise } from "@/core/garden/waterQuality";
import { dayInWords, type Day } from "@/core/units/day";
import { editText, quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { RiseChart } from "./RiseChart";

const LIMIT = number("limitMgPerL", "Bear up to", "concentration", 0, 5000);
const MEASURES = [LIMIT];
const SALTS = [
  { value: "Na", label: "sodium" },
  { value: "Cl", label: "chloride" },
] as const;

interface SaltRiseProps {
  readonly today: Day;
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: { readonly id: number; readonly name: string; readonly fillL: number };
  readonly rises: Readonly<Record<Gathering, readonly LoopRise[]>>;
}

/** How long a recirculating tank can go on with each water before sodium or chloride is too much. */
export function SaltRise({ today, loops, loop, rises }: SaltRiseProps) {
  const [salt, setSalt] = useState<Gathering>("Na");
  return (
    <section className="mt-8">
      <h2 className="text-2xl">What gathers where water goes round</h2>
      {loops.length > 1 && <Picker href="/water/quality" query="loop" rows={loops} chosen={loop.id} />}
      <Rise key={salt} today={today} loop={loop} salt={salt} onSalt={setSalt} rises={rises[salt]} />
    </section>
  );
}

interface RiseProps {
  readonly today: Day;
  readonly loop: SaltRiseProps["loop"];
  readonly salt: Gathering;
  readonly onSalt: (salt: Gathering) => void;
  readonly rises: readonly LoopRise[];
}

function Rise({ today, loop, salt, onSalt, rises }: RiseProps) {
  const units = useUnits();
  const first = { [LIMIT.name]: editText(USUAL_LIMIT_MG_PER_L[salt], "concentration", units) };
  const blanks = useBlanks(`draft:salt-limit:${salt}`, MEASURES, first, units);
  const limit = blanks.good[LIMIT.name] ?? USUAL_LIMIT_MG_PER_L[salt];
  // What the plan does comes first.
  const rows = [...rises].reverse().map((rise) => ({ ...rise, days: daysUnder(rise.mgPerL, limit) }));
  return (
    <>
      <Sentence problems={blanks.problems} size="line">
        The crops bear up to <MeasureBlank blanks={blanks} name={LIMIT.name} /> of{" "}
        <ChoiceBlank name="salt" label="Salt" value={salt} options={SALTS} onValue={onSalt} />.
      </Sentence>
      {rows.length === 0 ? (
        <p className="mt-2">
          No source tells its {salt === "Na" ? "sodium" : "chloride"}, or nothing drinks from the {loop.name} loop in
          the days ahead.
        </p>
      ) : (
        <div className="mt-3 grid gap-x-10 gap-y-4 wide:grid-cols-[minmax(0,1fr)_21rem]">
          <RiseChart today={today} rises={rises} limitMgPerL={limit} salt={salt === "Na" ? "Sodium" : "Chloride"} />
          <dl>
            {rows.map(({ source, mgPerL, days }) => (
              <div
                key={source?.id ?? "plan"}
                className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5"
              >
                <dt>
                  {source ? `${source.name} alone` : <b>as the plan draws them</b>}
                  <span className="block text-sm text-soft">
                    {quantityText(mgPerL.at(-1)!, "concentration", units)} at the plan’s end
                  </span>
                </dt>
                <dd className={`sign text-right text-xl ${days !== null && days < 14 ? "text-alarm" : ""}`}>
                  {days === null ? "stays under" : days === 0 ? "over from today" : dayInWords(today + days, "year")}
                </dd>
              </div>
            ))}
          </dl>
        </div>
      )}
      <p className="mt-2 text-sm text-soft">
        A fresh tank of {quantityText(loop.fillL, "volume", units)} today, topped up as the plan drinks and never
        changed; what the feed brings is not counted, and plants are taken to leave all of it. They take a little: it is
        later than this rather than sooner. Strawberries and beans bear less, tomatoes more.
      </p>
    </>
  );
}
