"use client";
import { Printer } from "lucide-react";
import { useMemo, useState } from "react";
import { PageLink } from "@/ui/PageLink";
import type { HouseView } from "@/core/garden/placeView";
import type { GrowingAreaRow, House } from "@/core/garden/garden";
import { quantityText } from "@/core/units/format";
import { Button, buttonClass } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { useOpened } from "@/features/frame/drafts";
import { Empty } from "@/ui/Empty";
import { later } from "@/ui/later";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { Only } from "@/features/frame/who";
import { OutLinks } from "./OutLinks";
import { GrowingAreaList } from "./GrowingAreaList";
import { withDraft } from "./plan/houseDraft";
import { PlanWorkbench, type StandEditing } from "./plan/PlanWorkbench";

const HouseForm = later(() => import("./HouseForm").then((part) => part.HouseForm));
const GrowingAreaForm = later(() => import("./GrowingAreaForm").then((part) => part.GrowingAreaForm));

export interface HousePlanProps {
  readonly houses: readonly HouseView[];
  readonly chosenHouse: number | null;
  readonly chosenStand: number | null;
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
}

type Editing =
  | StandEditing
  | { readonly what: "house" | "new-house" | "new-growing-area" }
  | { readonly what: "growingArea"; readonly id: number };

/** The garden as it is: its houses to choose from, the plan, and the growing areas that its stands are used for. */
export function HousePlan({ houses: saved, chosenHouse, chosenStand, growingAreas, loops }: HousePlanProps) {
  const [editing, setEditing] = useOpened<Editing>("place");
  const [draft, setDraft] = useState<House | null>(null);
  const houses = useMemo(() => withDraft(saved, draft), [saved, draft]);
  const isNew = editing?.what === "new-house" && draft !== null;
  const view = houses.find(({ house }) => house.id === (isNew ? draft.id : chosenHouse)) ?? null;
  const close = () => setEditing(null);
  return (
    <>
      <Picker
        href="/place"
        query="house"
        rows={saved.map(({ house }) => ({ id: house.id, name: house.name }))}
        chosen={chosenHouse}
      >
        {saved.length > 1 && (
          <PageLink
            href="/place?view=garden"
            aria-current={view ? undefined : "true"}
            className={buttonClass(view ? "plain" : "strong")}
          >
            Whole garden
          </PageLink>
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
          growingAreas={growingAreas}
          loops={loops}
          facts={view && <HouseFacts view={view} onEdit={() => setEditing({ what: "house" })} />}
          below={
            <>
              <GrowingAreaList
                growingAreas={growingAreas}
                onChange={(growingArea) => setEditing({ what: "growingArea", id: growingArea.id })}
                onNew={() => setEditing({ what: "new-growing-area" })}
              />
              <p className="mt-4">
                <OutLinks label="Save the layout as" />
              </p>
            </>
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
          house={
            editing?.what === "house" ? (saved.find(({ house }) => house.id === chosenHouse)?.house ?? null) : null
          }
          others={saved.map(({ house }) => house)}
          onDraft={setDraft}
          onDone={close}
        />
      </Drawer>
      <Drawer
        open={editing?.what === "growingArea" || editing?.what === "new-growing-area"}
        onClose={close}
        title={editing?.what === "growingArea" ? "Change the growing area" : "New growing area"}
      >
        {editing && (
          <GrowingAreaForm
            growingArea={
              editing.what === "growingArea" ? (growingAreas.find(({ id }) => id === editing.id) ?? null) : null
            }
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
      <PageLink href={`/place/print?house=${house.id}`} className="inline-flex items-baseline gap-1 underline">
        <Printer aria-hidden className="size-4 self-center" /> print
      </PageLink>
    </p>
  );
}
