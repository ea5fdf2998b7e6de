"use client";
import { useState } from "react";
import type { HouseView } from "@/server/place/view";
import type { PoolRow } from "@/server/place/queries";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { toneOf } from "@/ui/tones";
import { useUnits } from "@/ui/units";
import { quantityText } from "@/core/units/format";
import { LineStrip } from "./LineStrip";
import { PoolList } from "./PoolList";
import { PlanDrawing, type LineFocus } from "./PlanDrawing";
import { StandFacts } from "./StandFacts";
import { useOpened } from "@/ui/drafts";
import { Only } from "@/ui/who";
import { later } from "@/ui/later";

const HouseForm = later(() => import("./HouseForm").then((part) => part.HouseForm));
const PoolForm = later(() => import("./PoolForm").then((part) => part.PoolForm));
const StandForm = later(() => import("./StandForm").then((part) => part.StandForm));

export interface HousePlanProps {
  readonly houses: readonly { readonly id: number; readonly name: string }[];
  readonly view: HouseView | null;
  readonly chosenStand: number | null;
  readonly pools: readonly PoolRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
}

type Editing =
  | { readonly what: "house" | "new-house" | "stand" | "new-stand" | "new-pool" }
  | { readonly what: "pool"; readonly id: number };

/** A house to scale, the line under the pointer below it, and the counts of a stand beside it. */
export function HousePlan({ houses, view, chosenStand, pools, loops }: HousePlanProps) {
  const units = useUnits();
  const first = view?.stands[0]?.stand.id ?? null;
  const [focus, setFocus] = useState<LineFocus | null>(null);
  const [editing, setEditing] = useOpened<Editing>("place");
  const standId = focus?.standId ?? chosenStand ?? first;
  const shown = view?.stands.find(({ stand }) => stand.id === standId) ?? view?.stands[0];
  const close = () => setEditing(null);
  return (
    <div className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0">
        <Picker href="/place" query="house" rows={houses} chosen={view?.house.id ?? null}>
          <Only right="plan">
            <Button look="quiet" onClick={() => setEditing({ what: "new-house" })}>
              New house
            </Button>
          </Only>
        </Picker>
        {view ? (
          <>
            <p className="mb-2 text-soft">
              {quantityText(view.house.lengthM, "length", units)} × {quantityText(view.house.widthM, "length", units)},{" "}
              {quantityText(view.house.heightM, "length", units)} high, {view.house.cover}
              {view.house.shadeShare > 0 && `, ${quantityText(view.house.shadeShare, "share", units)} shade`}{" "}
              <Only right="plan">
                <button type="button" className="min-h-8 underline" onClick={() => setEditing({ what: "house" })}>
                  change
                </button>
              </Only>
            </p>
            {view.clashes.map((clash) => (
              <p
                key={clash}
                role="alert"
                className="mb-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-1.5 font-bold"
              >
                {clash}
              </p>
            ))}
            <PlanDrawing view={view} focus={focus} onFocus={setFocus} />
            <VarietyKey view={view} />
            {shown && <LineStrip view={shown} line={focus?.standId === shown.stand.id ? focus.line : 0} />}
          </>
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
      </div>
      {view && (
        <aside>
          {shown ? (
            <StandFacts view={shown} onEdit={() => setEditing({ what: "stand" })} />
          ) : (
            <Empty
              title="Nothing stands here yet"
              example="For instance a bank of 12 channels, 3 m long, with a plant every 10 cm: 360 nursery sites."
            />
          )}
          <Only right="plan">
            <Button
              className="no-print mt-4"
              data-key="n"
              disabled={pools.length === 0}
              onClick={() => setEditing({ what: "new-stand" })}
            >
              New stand
            </Button>
          </Only>
          <PoolList
            pools={pools}
            onChange={(pool) => setEditing({ what: "pool", id: pool.id })}
            onNew={() => setEditing({ what: "new-pool" })}
          />
        </aside>
      )}
      <Drawer
        open={editing?.what === "house" || editing?.what === "new-house"}
        onClose={close}
        title={editing?.what === "house" ? "Change the house" : "New house"}
      >
        <HouseForm house={editing?.what === "house" ? (view?.house ?? null) : null} onDone={close} />
      </Drawer>
      <Drawer
        open={editing?.what === "stand" || editing?.what === "new-stand"}
        onClose={close}
        title={editing?.what === "stand" ? "Change the stand" : "New stand"}
      >
        {view && (
          <StandForm
            stand={editing?.what === "stand" ? (shown?.stand ?? null) : null}
            house={view.house}
            pools={pools}
            loops={loops}
            onDone={close}
          />
        )}
      </Drawer>
      <Drawer
        open={editing?.what === "pool" || editing?.what === "new-pool"}
        onClose={close}
        title={editing?.what === "pool" ? "Change the pool" : "New pool"}
      >
        {editing && (
          <PoolForm
            pool={editing.what === "pool" ? (pools.find(({ id }) => id === editing.id) ?? null) : null}
            onDone={close}
          />
        )}
      </Drawer>
    </div>
  );
}

/** Which tone is which variety, for all that stands in the house today. */
function VarietyKey({ view }: { view: HouseView }) {
  const varieties = new Map(
    view.stands.flatMap(({ growing }) => growing.map((run) => [run.variety, run.tone] as const)),
  );
  return (
    <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {[...varieties].map(([name, tone]) => (
        <li key={name} className="flex items-center gap-2">
          <span aria-hidden className="size-3.5 rounded-full" style={{ background: toneOf(tone) }} />
          {name}
        </li>
      ))}
      <li className="flex items-center gap-2 text-soft">
        <span aria-hidden className="size-3 rounded-full border border-soft" />
        free
      </li>
    </ul>
  );
}
