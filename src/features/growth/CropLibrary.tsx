"use client";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { daysToReady, type LibraryCrop } from "@/core/growth/library/crop";
import type { UnitPreferences } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import { LibraryList } from "@/features/frame/LibraryList";
import { addLibraryCrop } from "@/server/growth/library";
import { useUnits } from "@/ui/units";

/** Crops that ship with Seed Round. */
export function CropLibrary({ there }: { readonly there: readonly string[] }) {
  const units = useUnits();
  return (
    <>
      <p className="mb-3 text-soft">
        Days are for where your garden lies, growing areas those that suit best. Change all of it afterwards.
      </p>
      <LibraryList
        items={CROP_LIBRARY.map((crop) => ({ name: crop.name, about: aboutWords(crop, units), from: fromWords(crop) }))}
        there={there}
        action={addLibraryCrop}
      />
    </>
  );
}

function aboutWords(crop: LibraryCrop, units: UnitPreferences): string {
  const [from, to] = daysToReady(crop);
  const ec = crop.ecMsPerCm.map((value) => quantityText(value, "ec", units));
  return `${crop.kind}; ready in ${from} to ${to} days; EC ${ec[0]} to ${ec[1]}, pH ${crop.ph[0]} to ${crop.ph[1]}`;
}

function fromWords({ comesUp, kcFrom, stages }: LibraryCrop): string {
  const up = `${Math.round(comesUp[0] * 100)} to ${Math.round(comesUp[1] * 100)} in 100 come up`;
  return `Common practice (${up})${kcFrom === "fao-56" ? `; crop coefficient ${stages.at(-1)!.kc}: FAO paper 56, table 12` : ""}`;
}
