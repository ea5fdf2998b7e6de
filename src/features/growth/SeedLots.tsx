"use client";
import { useFormContext, useWatch } from "react-hook-form";
import { SEED_LOT } from "@/core/garden/entities/growth";
import type { SeedLot } from "@/core/garden/garden";
import type { Day } from "@/core/units/day";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { FormControl } from "@/features/frame/form/FormControl";
import { Fold } from "@/features/frame/form/Fold";
import { quantityText } from "@/core/units/format";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";

const FIELDS = fieldsOf(SEED_LOT);
type Lot = Omit<SeedLot, "id" | "varietyId" | "typed">;

/** The packets of seed of a variety: what came when, how much is left, and how well it was tested to come up. */
export function SeedLots({ today }: { readonly today: Day }) {
  const { control, setValue } = useFormContext();
  const lots = (useWatch({ control, name: "lots" }) ?? []) as readonly Lot[];
  const set = (next: readonly Lot[]) => setValue("lots", next, { shouldDirty: true });
  const fields = lots.flatMap((_, at) => FIELDS.map((field) => ({ ...field, name: `lots.${at}.${field.name}` })));
  return (
    <Fold name="Seed on the shelf" fields={fields} taken={<LotsInBrief lots={lots} />}>
      <div className="col-span-full">
        {lots.map((_, at) => (
          <fieldset key={at} className="mt-3 border-t-2 border-ink pt-2">
            <legend className="sign text-xl">Lot {at + 1}</legend>
            <div className="grid grid-cols-2 gap-3">
              {FIELDS.map((field) => (
                <FormControl key={field.name} spec={{ ...field, name: `lots.${at}.${field.name}` }} />
              ))}
            </div>
            <Button look="quiet" onClick={() => set(lots.filter((_, index) => index !== at))}>
              Remove lot {at + 1}
            </Button>
          </fieldset>
        ))}
        <Button
          className="mt-3"
          onClick={() =>
            set([
              ...lots,
              { ...{ name: "", receivedOn: today, onHandG: 10 }, germination: null, testedOn: null, bestBefore: null },
            ])
          }
        >
          A new lot came
        </Button>
      </div>
    </Fold>
  );
}

function LotsInBrief({ lots }: { readonly lots: readonly Lot[] }) {
  const units = useUnits();
  if (lots.length === 0) return "none kept";
  return lots
    .map(({ name, onHandG }) => `${name || "a lot"} ${quantityText(Number(onHandG) || 0, "mass", units)}`)
    .join("; ");
}
