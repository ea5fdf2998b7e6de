"use client";
import { Pencil, Undo2 } from "lucide-react";
import { useState, type ReactNode } from "react";
import type { PlacedStand } from "@/core/place/stand";
import type { GrowingAreaRow } from "@/core/garden/garden";
import type { HouseView } from "@/core/garden/placeView";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { useOpened } from "@/features/frame/drafts";
import { Empty } from "@/ui/Empty";
import { later } from "@/ui/later";
import { useUnits } from "@/ui/units";
import { Only } from "@/features/frame/who";
import { LineStrip } from "../LineStrip";
import { PlanDrawing } from "../PlanDrawing";
import { StandFacts } from "../StandFacts";
import { VarietyKey } from "../VarietyKey";
import type { LineFocus } from "./lineFocus";
import { clashWords, narrowWayWords } from "../words";
import { StandNumbers } from "./StandNumbers";
import { PlantDrag } from "./PlantDrag";
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
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  /** Beside the tools, and below the facts of a stand. */
  readonly facts?: ReactNode;
  readonly below?: ReactNode;
}

export type StandEditing = { readonly what: "stand" | "new-stand" | "fill" };

/** A plan to look at and to work on: drawing, line under the pointer, facts and numbers of a stand, its forms. */
export function PlanWorkbench(props: PlanWorkbenchProps) {
  const { name, houses, home, chosenStand, growingAreas, loops, facts, below } = props;
  const [focus, setFocus] = useState<LineFocus | null>(null);
  /** The line that dragged plants are over: what is looked at stays. */
  const [over, setOver] = useState<LineFocus | null>(null);
  const [carrying, setCarrying] = useState(false);
  const [editing, setEditing] = useOpened<StandEditing>(name);
  const units = useUnits();
  const [drawing, setDrawing] = useState(false);
  const [draft, setDraft] = useState<PlacedStand | null>(null);
  const views = houses.flatMap((one) => one.stands);
  const edit = usePlanEdit(
    views.map(({ stand }) => stand),
    houses.map(({ house }) => house),
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
    <div className="grid gap-x-8 gap-y-4 wide:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0" onKeyDown={onUndoKey}>
        <div className="no-print mb-2 flex min-h-12 flex-wrap items-center gap-2 sm:pr-52">
          <Only right="plan">
            <Button look={drawing ? "strong" : "plain"} aria-pressed={drawing} onClick={() => setDrawing(!drawing)}>
              <Pencil aria-hidden className="size-5" /> {drawing ? "Done" : "Edit plan"}
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
        {near
          .flatMap(({ clashes }) => clashes)
          .map((clash) => (
            <p
              key={clash.stands.join()}
              role="alert"
              className="mb-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-1.5 font-bold"
            >
              {clashWords(clash, units)}
            </p>
          ))}
        <PlanDrawing
          houses={houses}
          home={home}
          focus={over ?? focus}
          onFocus={(line) => carrying || setFocus(line)}
          edit={drawing ? edit : null}
          draft={draft && inHouse && { houseId: inHouse.house.id, stand: draft }}
        />
        {drawing ? (
          <p className="mt-2 text-sm text-soft">
            Drag a stand to move it, its squares to resize it. Keys: Tab to a stand, arrows move, Shift and arrows
            resize, T turns, D duplicates, E goes to its numbers, Delete deletes, Enter drops it, Escape cancels, Ctrl Z
            undoes.
          </p>
        ) : (
          <>
            <VarietyKey stands={near.flatMap(({ stands }) => stands)} />
            {near
              .flatMap(({ narrow }) => narrow)
              .map((way) => (
                <p key={way.names.join()} className="mt-1 text-sm text-soft">
                  {narrowWayWords(way, units)}
                </p>
              ))}
            {shown && (
              <PlantDrag views={views} onOver={setOver} onCarry={setCarrying}>
                <LineStrip view={shown} line={focus?.standId === shown.stand.id ? focus.line : 0} />
              </PlantDrag>
            )}
          </>
        )}
      </div>
      <aside>
        {!shown && (
          <Empty
            title="No channels, beds or racks yet"
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
          <StandNumbers
            key={shown.stand.id}
            stand={shown.stand}
            edit={edit}
            onAll={() => setEditing({ what: "stand" })}
          />
        )}
        {shown && !drawing && <StandFacts view={shown} onEdit={() => setEditing({ what: "stand" })} />}
        <Only right="plan">
          <Button
            className="no-print mt-4"
            data-key="n"
            disabled={growingAreas.length === 0}
            onClick={() => setEditing({ what: "new-stand" })}
          >
            Add channels, beds, racks …
          </Button>
        </Only>
        {below}
      </aside>
      <Drawer
        open={editing?.what === "stand" || editing?.what === "new-stand"}
        onClose={close}
        title={
          editing?.what === "stand"
            ? `Change ${shown?.stand.name ?? ""}`
            : `Add to ${inHouse?.house.name ?? "the house"}`
        }
      >
        {inHouse && (
          <StandForm
            stand={editing?.what === "stand" ? (shown?.stand ?? null) : null}
            house={inHouse.house}
            others={inHouse.stands.map(({ stand }) => stand)}
            growingAreas={growingAreas}
            loops={loops}
            onDraft={setDraft}
            onDone={close}
          />
        )}
      </Drawer>
      <Drawer open={editing?.what === "fill"} onClose={close} title={`Fill ${inHouse?.house.name ?? "the house"}`}>
        {inHouse && (
          <FillForm key={inHouse.house.id} view={inHouse} growingAreas={growingAreas} loops={loops} onDone={close} />
        )}
      </Drawer>
    </div>
  );
}
