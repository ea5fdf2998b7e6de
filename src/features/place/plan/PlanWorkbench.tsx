"use client";
import { Pencil, Undo2 } from "lucide-react";
import { useState, type ReactNode } from "react";
import type { PoolRow } from "@/server/place/queries";
import type { HouseView } from "@/server/place/view";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { useOpened } from "@/ui/drafts";
import { Empty } from "@/ui/Empty";
import { later } from "@/ui/later";
import { Only } from "@/ui/who";
import { LineStrip } from "../LineStrip";
import { PlanDrawing } from "../PlanDrawing";
import { StandFacts } from "../StandFacts";
import { VarietyKey } from "../VarietyKey";
import type { LineFocus } from "./lineFocus";
import type { PlanStore } from "./planStore";
import { StandNumbers } from "./StandNumbers";
import { usePlanEdit } from "./usePlanEdit";

const StandForm = later(() => import("../StandForm").then((part) => part.StandForm));
const FillForm = later(() => import("./FillForm").then((part) => part.FillForm));

export interface PlanWorkbenchProps {
  /** Under this name an open form is kept over a reload. */
  readonly name: string;
  readonly houses: readonly HouseView[];
  /** What is seen at first; the whole garden without one. */
  readonly home: HouseView | null;
  readonly chosenStand: number | null;
  readonly pools: readonly PoolRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly store: PlanStore;
  /** Beside the tools, and below the facts of a stand. */
  readonly facts?: ReactNode;
  readonly below?: ReactNode;
  /** Whether anything grows here: in a layout put by, nothing does. */
  readonly grows: boolean;
}

export type StandEditing = { readonly what: "stand" | "new-stand" | "fill" };

/** A plan to look at and to work on: drawing, line under the pointer, facts and numbers of a stand, its forms. */
export function PlanWorkbench(props: PlanWorkbenchProps) {
  const { name, houses, home, chosenStand, pools, loops, store, facts, below, grows } = props;
  const [focus, setFocus] = useState<LineFocus | null>(null);
  const [editing, setEditing] = useOpened<StandEditing>(name);
  const [drawing, setDrawing] = useState(false);
  const views = houses.flatMap((one) => one.stands);
  const edit = usePlanEdit(
    views.map(({ stand }) => stand),
    houses.map(({ house }) => house),
    store,
  );
  const near = home ? [home] : houses;
  const standId = (drawing ? edit.selected : focus?.standId) ?? chosenStand;
  const shown = views.find(({ stand }) => stand.id === standId) ?? near[0]?.stands[0];
  const inHouse = home ?? houses.find(({ house }) => house.id === shown?.stand.houseId) ?? houses[0] ?? null;
  const close = () => setEditing(null);
  const onUndoKey = (event: React.KeyboardEvent) => {
    if (!drawing || event.key.toLowerCase() !== "z" || !(event.ctrlKey || event.metaKey)) return;
    if (/^(input|textarea|select)$/iu.test((event.target as HTMLElement).tagName)) return;
    event.preventDefault();
    void edit.undo();
  };
  return (
    <div className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0" onKeyDown={onUndoKey}>
        <div className="no-print mb-2 flex min-h-12 flex-wrap items-center gap-2 sm:pr-52">
          <Only right="plan">
            <Button look={drawing ? "strong" : "plain"} aria-pressed={drawing} onClick={() => setDrawing(!drawing)}>
              <Pencil aria-hidden className="size-5" /> {drawing ? "Done" : "Move and pull"}
            </Button>
            {drawing && (
              <>
                <Button disabled={!edit.canUndo || edit.busy} onClick={() => void edit.undo()}>
                  <Undo2 aria-hidden className="size-5" /> Undo
                </Button>
                <Button onClick={() => setEditing({ what: "fill" })}>Fill …</Button>
              </>
            )}
          </Only>
          {!drawing && facts}
        </div>
        {near.flatMap(({ clashes }) => clashes).map((clash) => (
          <p key={clash} role="alert" className="mb-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-1.5 font-bold">
            {clash}
          </p>
        ))}
        <PlanDrawing houses={houses} home={home} focus={focus} onFocus={setFocus} edit={drawing ? edit : null} low={!grows} />
        {drawing ? (
          <p className="mt-2 text-sm text-soft">
            Drag a stand to move it, its squares to pull it. Keys: Tab to a stand, arrows move, Shift and arrows pull, T turns, D
            copies, E goes to its numbers, Delete takes away, Enter puts down, Escape lets go, Ctrl Z undoes.
          </p>
        ) : (
          <>
            {grows && <VarietyKey stands={near.flatMap(({ stands }) => stands)} />}
            {near.flatMap(({ narrow }) => narrow).map((words) => (
              <p key={words} className="mt-1 text-sm text-soft">
                {words}
              </p>
            ))}
            {shown && grows && <LineStrip view={shown} line={focus?.standId === shown.stand.id ? focus.line : 0} />}
          </>
        )}
      </div>
      <aside>
        {!shown && (
          <Empty
            title="Nothing stands here yet"
            example="For instance a bank of 12 channels, 3 m long, with a plant every 10 cm: 360 nursery sites."
          >
            <Only right="plan">
              <Button look="strong" onClick={() => setEditing({ what: "fill" })}>
                How many plants could I grow here?
              </Button>
            </Only>
          </Empty>
        )}
        {shown && drawing && (
          <StandNumbers key={shown.stand.id} stand={shown.stand} edit={edit} onAll={() => setEditing({ what: "stand" })} />
        )}
        {shown && !drawing && <StandFacts view={shown} grows={grows} onEdit={() => setEditing({ what: "stand" })} />}
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
        {below}
      </aside>
      <Drawer
        open={editing?.what === "stand" || editing?.what === "new-stand"}
        onClose={close}
        title={editing?.what === "stand" ? "Change the stand" : `New stand in ${inHouse?.house.name ?? "the house"}`}
      >
        {inHouse && (
          <StandForm
            stand={editing?.what === "stand" ? (shown?.stand ?? null) : null}
            house={inHouse.house}
            others={inHouse.stands.map(({ stand }) => stand)}
            pools={pools}
            loops={loops}
            store={store}
            onDone={close}
          />
        )}
      </Drawer>
      <Drawer open={editing?.what === "fill"} onClose={close} title={`Fill ${inHouse?.house.name ?? "the house"}`}>
        {inHouse && (
          <FillForm key={inHouse.house.id} view={inHouse} pools={pools} loops={loops} store={store} onDone={close} />
        )}
      </Drawer>
    </div>
  );
} // prettier-ignore
