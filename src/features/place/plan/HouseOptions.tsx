import { STAND_MODELS, type StandKind } from "@/core/place/kinds";
import type { HouseOption } from "@/core/place/layout/houseOptions";
import { plural } from "@/core/place/stand";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

interface HouseOptionsProps {
  readonly options: readonly HouseOption[];
  readonly kind: StandKind;
  readonly onKind: (kind: StandKind) => void;
}

/** What a house would hold, kind by kind; one of them is chosen. */
export function HouseOptions({ options, kind, onKind }: HouseOptionsProps) {
  const units = useUnits();
  return (
    <table className="mt-2 w-full">
      <caption className="sign pb-1 text-left text-xl">How many plants could I grow here?</caption>
      <thead className="text-left text-sm text-soft">
        <tr>
          <th className="font-normal">Kind</th>
          <th className="text-right font-normal">Plants</th>
          <th className="text-right font-normal">of house</th>
          <th className="text-right font-normal">Water held</th>
        </tr>
      </thead>
      <tbody>
        {options.map((option) => (
          <tr key={option.kind} className={`border-t border-rule ${option.kind === kind ? "bg-water-pale" : ""}`}>
            <th scope="row" className="text-left font-normal">
              <button
                type="button"
                className="min-h-9 text-left underline"
                aria-pressed={option.kind === kind}
                onClick={() => onKind(option.kind)}
              >
                {STAND_MODELS[option.kind].words.name}
              </button>
            </th>
            <td className="figure text-right">
              {option.filling.sites} <small>{plural(STAND_MODELS[option.kind].words.site)}</small>
            </td>
            <td className="text-right">{quantityText(option.perM2OfHouse, "density", units)}</td>
            <td className="text-right">{option.heldL > 0 ? quantityText(option.heldL, "volume", units) : "–"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
