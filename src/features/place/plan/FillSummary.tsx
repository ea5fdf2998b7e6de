import { STAND_MODELS, type StandKind } from "@/core/place/kinds";
import type { RectM } from "@/core/place/kinds/model";
import type { HouseFilling } from "@/core/place/layout/fillHouse";
import { LEAST_AISLE_M } from "@/core/place/linesIntoHouse";
import { plural } from "@/core/place/stand";
import { standWater } from "@/core/place/standWater";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

interface FillSummaryProps {
  readonly filling: HouseFilling;
  readonly room: RectM;
  readonly kind: StandKind;
}

/** What a house filled with one kind would hold, and how that is worked out. */
export function FillSummary({ filling, room, kind }: FillSummaryProps) {
  const units = useUnits();
  const { words } = STAND_MODELS[kind];
  return (
    <p className="mt-3 border-l-[6px] border-leaf bg-leaf-pale px-3 py-2" role="status">
      <span className="figure">
        <Why
          label={`A house full of ${words.name.toLowerCase()}`}
          how="Lines side by side as long as their widths, gaps and aisles fit; banks end to end with a cross aisle; the better of the two directions. Each line is counted as in a stand."
          inputs={[
            [
              "free ground",
              `${quantityText(room.lengthM, "length", units)} × ${quantityText(room.widthM, "length", units)}`,
            ],
            [plural(words.line), String(filling.lines)],
            ["stands", String(filling.stands.length)],
          ]}
        >
          {filling.sites}
        </Why>
      </span>{" "}
      {plural(words.site)}: {filling.lines} {plural(words.line)} in {filling.stands.length}{" "}
      {filling.stands.length === 1 ? "stand" : "stands"}
      {filling.stands.some(({ spec }) => standWater(spec).drainBackL > 0) &&
        `, ${quantityText(
          filling.stands.reduce((sum, { spec }) => sum + standWater(spec).drainBackL, 0),
          "volume",
          units,
        )} drain back`}
      {filling.aisleRaised && `; the aisle is made ${quantityText(LEAST_AISLE_M, "length", units)}`}
    </p>
  );
}
