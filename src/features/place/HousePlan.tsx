"use client";
import { Printer } from "lucide-react";
import Link from "next/link";
import { addStands, removeHouse, removeStand, saveHouse, savePool, saveStand } from "@/server/place/actions";
import type { HouseView } from "@/server/place/view";
import type { PoolRow } from "@/server/place/queries";
import { quantityText } from "@/core/units/format";
import { Button, buttonClass } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { useOpened } from "@/ui/drafts";
import { Empty } from "@/ui/Empty";
import { later } from "@/ui/later";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { Only } from "@/ui/who";
import { PoolList } from "./PoolList";
import type { PlanStore } from "./plan/planStore";
import { PlanWorkbench, type StandEditing } from "./plan/PlanWorkbench";

const HouseForm = later(() => import("./HouseForm").then((part) => part.HouseForm));
const PoolForm = later(() => import("./PoolForm").then((part) => part.PoolForm));

export interface HousePlanProps {
  readonly houses: readonly HouseView[];
  readonly chosenHouse: number | null;
  readonly chosenStand: number | null;
  readonly pools: readonly PoolRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
}

type Editing =
  StandEditing | { readonly what: "house" | "new-house" | "new-pool" } | { readonly what: "pool"; readonly id: number };

const LIVE: PlanStore = {
  name: "",
  saveStand,
  addStands,
  removeStand: (input) => removeStand({ id: (input as { id: unknown }).id }),
  saveHouse,
  removeHouse: (input) => removeHouse({ id: (input as { id: unknown }).id }),
  savePool,
};

/** The garden as it stands: its houses to choose from, the plan, and the pools that its stands serve. */
export function HousePlan({ houses, chosenHouse, chosenStand, pools, loops }: HousePlanProps) {
  const view = houses.find(({ house }) => house.id === chosenHouse) ?? null;
  const [editing, setEditing] = useOpened<Editing>("place");
  const close = () => setEditing(null);
  return (
    <>
      <Picker
        href="/place"
        query="house"
        rows={houses.map(({ house }) => ({ id: house.id, name: house.name }))}
        chosen={chosenHouse}
      >
        {houses.length > 1 && (
          <Link
            href="/place?view=garden"
            aria-current={view ? undefined : "true"}
            className={buttonClass(view ? "plain" : "strong")}
          >
            Whole garden
          </Link>
        )}
        <Only right="plan">
          <Button look="quiet" onClick={() => setEditing({ what: "new-house" })}>
            New house
          </Button>
        </Only>
      </Picker>
      {houses.length > 0 ? (
        <PlanWorkbench
          name="place"
          houses={houses}
          home={view}
          chosenStand={chosenStand}
          pools={pools}
          loops={loops}
          store={LIVE}
          grows
          facts={view && <HouseFacts view={view} onEdit={() => setEditing({ what: "house" })} />}
          below={
            <PoolList
              pools={pools}
              onChange={(pool) => setEditing({ what: "pool", id: pool.id })}
              onNew={() => setEditing({ what: "new-pool" })}
            />
          }
        />
      ) : (
        <Empty
          title="No house yet"
          example="A net house of 12 by 24 m with 36 channels of 6 m at 25 cm holds 864 lettuces. Enter yours, then its stands."
        >
          <Only right="plan">
            <Button look="strong" onClick={() => setEditing({ what: "new-house" })}>
              Enter a house
            </Button>
          </Only>
        </Empty>
      )}
      <Drawer
        open={editing?.what === "house" || editing?.what === "new-house"}
        onClose={close}
        title={editing?.what === "house" ? "Change the house" : "New house"}
      >
        <HouseForm
          house={editing?.what === "house" ? (view?.house ?? null) : null}
          others={houses.map(({ house }) => house)}
          store={LIVE}
          onDone={close}
        />
      </Drawer>
      <Drawer
        open={editing?.what === "pool" || editing?.what === "new-pool"}
        onClose={close}
        title={editing?.what === "pool" ? "Change the pool" : "New pool"}
      >
        {editing && (
          <PoolForm
            pool={editing.what === "pool" ? (pools.find(({ id }) => id === editing.id) ?? null) : null}
            store={LIVE}
            onDone={close}
          />
        )}
      </Drawer>
    </>
  );
}

function HouseFacts({ view, onEdit }: { view: HouseView; onEdit: () => void }) {
  const units = useUnits();
  const { house } = view;
  return (
    <p className="text-soft">
      {quantityText(house.lengthM, "length", units)} × {quantityText(house.widthM, "length", units)}, {house.cover}
      {house.shadeShare > 0 && `, ${quantityText(house.shadeShare, "share", units)} shade`}{" "}
      <Only right="plan">
        <button type="button" className="min-h-8 underline" onClick={onEdit}>
          change
        </button>
      </Only>{" "}
      <Link href={`/place/print?house=${house.id}`} className="inline-flex items-baseline gap-1 underline">
        <Printer aria-hidden className="size-4 self-center" /> print
      </Link>
    </p>
  );
}
