"use client";
import { useMemo, useState } from "react";
import { outsideAt, shouldNotShare, type Apart } from "@/core/feed/sharedEc";
import {
  schoolEc,
  STRENGTH_KINDS,
  usualSchool,
  type StrengthBasis,
  type StrengthSchool,
} from "@/core/feed/strengthSchool";
import { LOOP } from "@/core/garden/entities/water";
import type { Loop } from "@/core/garden/garden";
import { counted, quantityText } from "@/core/units/format";
import { formValues } from "@/features/frame/form/formValues";
import { useCommand } from "@/features/frame/useCommand";
import { saveLoop } from "@/server/water/actions";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { BandStrips } from "./BandStrips";
import { SchoolRow, type Judged } from "./SchoolRow";

export interface StrengthSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: Loop | null;
  /** null where the loop has no recipe. */
  readonly basis: StrengthBasis | null;
  /** Crops of the weeks ahead that tell no band. */
  readonly untold: readonly string[];
  readonly aheadDays: number;
}

/** The four schools of strength on a loop's own crops; one is chosen, and every dose follows it. */
export function StrengthSheet({ loops, loop, basis, untold, aheadDays }: StrengthSheetProps) {
  return (
    <>
      <Picker href="/feed/strength" query="loop" rows={loops} chosen={loop?.id ?? null} />
      {loop && basis ? (
        <Schools key={JSON.stringify(loop.strength)} {...{ loop, basis, untold, aheadDays }} />
      ) : (
        <Empty
          title="No recipe for this loop yet"
          example="Under Water, choose a recipe for the loop. How strong it is fed by age, season and crop is then chosen here."
        />
      )}
    </>
  );
}

function Schools({
  loop,
  basis,
  untold,
  aheadDays,
}: Omit<StrengthSheetProps, "loops" | "loop" | "basis"> & { readonly loop: Loop; readonly basis: StrengthBasis }) {
  const units = useUnits();
  const [schools, setSchools] = useState(() =>
    STRENGTH_KINDS.map((kind) => (kind === loop.strength.kind ? loop.strength : usualSchool(kind, basis.ecMsPerCm))),
  );
  const chosen = schools.findIndex((school) => isSame(school, loop.strength));
  const [looked, setLooked] = useState(Math.max(0, chosen));
  const save = useCommand(saveLoop, { done: "Chosen" });
  const judged = useMemo(
    () =>
      schools.map((school): Judged => {
        const found = schoolEc(school, basis);
        return typeof found === "number"
          ? { school, ecMsPerCm: found, lacks: null, outside: outsideAt(basis.wishes, found) }
          : { school, ecMsPerCm: null, lacks: found, outside: null };
      }),
    [schools, basis],
  );
  const shown = judged[looked]!.ecMsPerCm ?? basis.ecMsPerCm;
  const apart = shouldNotShare(basis.wishes);
  return (
    <>
      <h2 className="mt-2 text-2xl">How strong is this tank fed?</h2>
      <p className="text-soft">
        The recipe is written for {quantityText(basis.ecMsPerCm, "ec", units)}; its ratios stay, whatever the strength.
      </p>
      <ul className="mt-2 border-b border-rule">
        {judged.map((one, at) => (
          <SchoolRow
            key={one.school.kind}
            judged={one}
            isChosen={at === chosen}
            isLooked={at === looked}
            busy={save.busy}
            onSchool={(next) => setSchools((now) => now.map((school, index) => (index === at ? next : school)))}
            onLook={() => setLooked(at)}
            onChoose={() => void save.run({ ...formValues(LOOP, loop), strength: schools[at] })}
          />
        ))}
      </ul>
      {basis.wishes.length > 0 && (
        <section className="mt-6" aria-label="Who shares this tank">
          <h2 className="text-2xl">Who shares this tank</h2>
          <p className="text-soft">
            Crops of the next {counted(aheadDays, "day")} with their share of the plant-days, and{" "}
            {quantityText(shown, "ec", units)} through their bands.
          </p>
          <BandStrips wishes={basis.wishes} ecMsPerCm={shown} />
        </section>
      )}
      {apart.length > 0 && (
        <section className="mt-4 border-l-[6px] border-feed bg-feed-pale px-3 py-2">
          <h2 className="text-xl">Should not share a tank</h2>
          <ul>
            {apart.map((pair) => (
              <li key={pair.names.join()}>{apartWords(pair)}</li>
            ))}
          </ul>
        </section>
      )}
      {untold.length > 0 && (
        <p className="mt-3 text-soft">Not counted, for no band is told (Growth, the crop): {untold.join(", ")}.</p>
      )}
    </>
  );
}

const isSame = (one: StrengthSchool, other: StrengthSchool) => JSON.stringify(one) === JSON.stringify(other);

function apartWords({ names: [one, other], by }: Apart): string {
  const what = by === "ec" ? "no strength" : by === "ph" ? "no pH" : "neither a strength nor a pH";
  return `${one} and ${other}: ${what} suits both.`;
}
