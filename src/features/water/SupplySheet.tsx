"use client";
import { inText } from "@/core/units/rounded";
import type { Day } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import type { SourceRefill } from "@/core/garden/refills";
import type { SupplyHorizon } from "@/core/water/supply";
import type { Source } from "@/core/garden/garden";
import type { Store } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { ShortageList, type ShortageListProps } from "@/ui/ShortageList";
import { useUnits } from "@/ui/units";
import { Refills } from "./Refills";
import { StoreYears, type StoreYearsProps } from "./StoreYears";
import { Horizon } from "./Horizon";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const SourceForm = later(() => import("./SourceForm").then((part) => part.SourceForm));
const StoreForm = later(() => import("./SourceForm").then((part) => part.StoreForm));

export interface SupplySheetProps {
  readonly today: Day;
  readonly supply: SupplyHorizon;
  readonly sources: readonly Source[];
  readonly limits: readonly number[];
  readonly stores: readonly Store[];
  readonly short: ShortageListProps;
  readonly years: StoreYearsProps["years"];
  readonly refills: readonly SourceRefill[];
}

const CAUTION = {
  short: "Drinking water: backflow prevention as the local code asks for. Tanks: covered, and out of children’s reach.",
  more: "Between the mains and any tank, injector or drip line belongs an air gap or a tested device, as the local code asks for, put in by a licensed plumber. Label every outlet that is not for drinking. Cover and fence tanks and ponds against children. A full cubic metre weighs over a tonne: level, bearing ground.",
} as const;

type Editing = { readonly source: number | null } | { readonly store: number | null };

/** Will the water last? The store over the coming months, what each source gives, and the first day anything is short. */
export function SupplySheet({ today, supply, sources, limits, stores, short, years, refills }: SupplySheetProps) {
  const units = useUnits();
  const [editing, setEditing] = useOpened<Editing>("supply");
  const close = () => setEditing(null);
  const draws = supply.needL.some((litres) => litres > 0);
  return (
    <>
      {draws ? (
        <Horizon
          today={today}
          supply={supply}
          capacityL={stores.reduce((sum, store) => sum + store.capacityL, 0)}
          sources={sources.map((source) => source.name)}
        />
      ) : (
        <p className="text-xl">
          Nothing is drawn in the days ahead: how long the water lasts is worked out once plants that drink are planned.
        </p>
      )}
      <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <section>
          <h2 className="text-2xl">Stores and sources, in the order of use</h2>
          {sources.length === 0 && (
            <Empty
              title="No source yet"
              example={inText(
                "For instance a roof of {150 m²} into a cistern of {18 m³}, then a standpipe of {600 L} a day.",
                units,
              )}
            />
          )}
          <ul>
            {stores.map((store) => (
              <Row
                key={`store-${store.id}`}
                name={store.name}
                about={`${quantityText(store.storedL, "volume", units)} of ${quantityText(store.capacityL, "volume", units)}`}
                onChange={() => setEditing({ store: store.id })}
              />
            ))}
            {sources.map((source, index) => {
              const drawn = supply.drawnL[index]?.reduce((sum, litres) => sum + litres, 0) ?? 0;
              const limit =
                source.kind === "rain"
                  ? `roof ${quantityText(source.roofAreaM2, "area", units)}`
                  : `up to ${quantityText(limits[index]!, "volume", units)} a day`;
              return (
                <Row
                  key={source.id}
                  name={`${source.priority}. ${source.name}`}
                  about={`${limit}; the plan draws ${quantityText(drawn, "volume", units)}`}
                  onChange={() => setEditing({ source: source.id })}
                />
              );
            })}
          </ul>
          {draws && (
            <p className="mt-2">
              This water costs{" "}
              <Why
                label="Water for the plan"
                how="Each day's need is drawn from the sources in their order, each up to what it gives a day and the store up to what it holds; litres × the price of the source."
              >
                {quantityText(Math.round(supply.cost), "money", units)}
              </Why>{" "}
              over the plan.
            </p>
          )}
          <Only right="plan">
            <div className="no-print mt-3 flex flex-wrap gap-2">
              <Button data-key="n" onClick={() => setEditing({ source: null })}>
                New source
              </Button>
              <Button onClick={() => setEditing({ store: null })}>New store</Button>
            </div>
          </Only>
          <Refills refills={refills} />
          <CautionNote {...CAUTION} />
        </section>
        <div>
          <ShortageList {...short} />
          {stores.length > 0 && (
            <StoreYears
              years={years}
              today={today}
              capacityL={stores.reduce((sum, store) => sum + store.capacityL, 0)}
            />
          )}
        </div>
      </div>
      <Drawer
        open={editing !== null && "source" in editing}
        onClose={close}
        title={editing && "source" in editing && editing.source ? "Change the source" : "New source"}
      >
        {editing && "source" in editing && (
          <SourceForm source={sources.find(({ id }) => id === editing.source) ?? null} onDone={close} />
        )}
      </Drawer>
      <Drawer
        open={editing !== null && "store" in editing}
        onClose={close}
        title={editing && "store" in editing && editing.store ? "Change the store" : "New store"}
      >
        {editing && "store" in editing && (
          <StoreForm store={stores.find(({ id }) => id === editing.store) ?? null} today={today} onDone={close} />
        )}
      </Drawer>
    </>
  );
}

function Row({ name, about, onChange }: { name: string; about: string; onChange: () => void }) {
  return (
    <li className="flex items-center justify-between gap-3 border-b border-rule py-1.5">
      <span>
        <span className="sign text-lg">{name}</span> <span className="text-soft">{about}</span>
      </span>
      <Only right="plan">
        <Button look="quiet" className="!text-base" aria-label={`Change ${name}`} onClick={onChange}>
          Change
        </Button>
      </Only>
    </li>
  );
}
