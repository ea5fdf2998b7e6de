"use client";
import { TOLD_KIND_NAMES, toldKind, type ToldKindName } from "@/core/place/told/kinds";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { filledIn } from "./filledIn";
import { MeasureBlank } from "./MeasureBlank";
import { toldTemplate } from "./toldTemplates";
import type { Blanks } from "./useBlanks";

const KIND_OPTIONS = TOLD_KIND_NAMES.map((value) => ({ value, label: toldKind(value).name }));

/** Stands of a kind, told in a few blanks. */
export function ToldSentence({
  kind,
  blanks,
  more = false,
  without = [],
  mark = "",
  onKind,
}: {
  readonly kind: ToldKindName;
  readonly blanks: Blanks;
  /** Also what usually goes by itself. */
  readonly more?: boolean;
  /** Blanks that are left out: how many, where that is what is asked. */
  readonly without?: readonly string[];
  /** Comma or full stop at its end. */
  readonly mark?: "" | "," | ".";
  /** Lets the kind be chosen in the sentence. */
  readonly onKind?: (kind: ToldKindName) => void;
}) {
  const word = onKind ? (
    <ChoiceBlank name="kind" label="Kind" value={kind} options={KIND_OPTIONS} onValue={onKind} />
  ) : (
    toldKind(kind).name
  );
  return (
    <>
      {filledIn(toldTemplate(kind, more) + mark, (name) =>
        name === "kind" ? word : without.includes(name) ? null : <MeasureBlank blanks={blanks} name={name} />,
      )}
    </>
  );
}
