"use client";
import { useMemo } from "react";
import type { LayoutFigures } from "@/core/place/layout/compare";
import { addLayoutPool, addLayoutStands, copyLayout, removeLayout, removeLayoutHouse, removeLayoutStand, saveLayoutHouse, saveLayoutStand } from "@/server/place/layoutActions"; // prettier-ignore
import type { Adoption } from "@/server/place/adoption";
import type { House, PoolRow } from "@/server/place/queries";
import type { HouseView } from "@/server/place/view";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { useOpened } from "@/ui/drafts";
import { Empty } from "@/ui/Empty";
import { later } from "@/ui/later";
import { RemoveButton } from "@/ui/RemoveButton";
import { useCommand } from "@/ui/useCommand";
import { Only } from "@/ui/who";
import type { PlanStore } from "../plan/planStore";
import { PlanWorkbench } from "../plan/PlanWorkbench";
import { LayoutTable } from "./LayoutTable";

const AdoptForm = later(() => import("./AdoptForm").then((part) => part.AdoptForm));
const ImportForm = later(() => import("./ImportForm").then((part) => part.ImportForm));
const HouseForm = later(() => import("../HouseForm").then((part) => part.HouseForm));
const PoolForm = later(() => import("../PoolForm").then((part) => part.PoolForm));
const RenameForm = later(() => import("./RenameForm").then((part) => part.RenameForm));

export interface LayoutCopy {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly figures: LayoutFigures;
}

export interface ChosenLayout {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly houses: readonly HouseView[];
  readonly pools: readonly PoolRow[];
  readonly adoption: Adoption;
}

export interface LayoutSheetProps {
  readonly now: LayoutFigures;
  readonly copies: readonly LayoutCopy[];
  readonly chosen: ChosenLayout | null;
  readonly loops: readonly { readonly id: number; readonly name: string }[];
}

type Open =
  | { readonly what: "import" | "adopt" | "rename" | "pool" }
  /** Of this place in the layout; null is a new one. */
  | { readonly what: "house"; readonly id: number | null };

/** Layouts put by, beside the garden as it stands: compared in figures, worked on in the drawing, adopted when chosen. */
export function LayoutSheet({ now, copies, chosen, loops }: LayoutSheetProps) {
  const [open, setOpen] = useOpened<Open>("layouts");
  const copy = useCommand(copyLayout, { done: "Copy put by" });
  const nextName = () => {
    const stem = chosen ? `${chosen.name.replace(/ \d+$/u, "")} ` : "Layout ";
    for (let number = copies.length + 1; ; number++)
      if (!copies.some(({ name }) => name === stem + number)) return stem + number;
  };
  const layoutId = chosen?.id;
  const houses = chosen?.houses.map(({ house }) => house) ?? [];
  // A copy's parts are kept in the copy: the same forms and the same drawing, another place to save to.
  const store = useMemo<PlanStore>(
    () => ({
      name: `layout-${layoutId} `,
      saveStand: (stand) => saveLayoutStand({ layoutId, stand }),
      addStands: (input) => addLayoutStands({ layoutId, ...(input as { stands: unknown }) }),
      oneVersion: true,
      removeStand: (input) => removeLayoutStand({ layoutId, ...(input as { id: unknown; version: unknown }) }),
      saveHouse: (house) => saveLayoutHouse({ layoutId, house }),
      removeHouse: (input) => removeLayoutHouse({ layoutId, ...(input as { id: unknown; version: unknown }) }),
      savePool: (pool) => addLayoutPool({ layoutId, pool }),
    }),
    [layoutId],
  );
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-center gap-2">
        <Only right="plan">
          <Button
            data-key="n"
            disabled={copy.busy || now.lines === 0}
            onClick={() => void copy.run({ from: null, name: nextName() })}
          >
            Put by as it stands
          </Button>
          <Button onClick={() => setOpen({ what: "import" })}>Bring a file in</Button>
        </Only>
        <OutLinks layout={null} label="The garden as it stands, as" />
      </div>
      {chosen ? (
        <>
          <LayoutTable now={now} copies={copies} chosen={chosen.id} />
          <div className="no-print mb-4 mt-3 flex flex-wrap items-center gap-2">
            <h2 className="mr-2 text-2xl">{chosen.name}</h2>
            <Only right="plan">
              <Button look="strong" onClick={() => setOpen({ what: "adopt" })}>
                Adopt …
              </Button>
              <Button disabled={copy.busy} onClick={() => void copy.run({ from: chosen.id, name: nextName() })}>
                Duplicate
              </Button>
              <Button onClick={() => setOpen({ what: "rename" })}>Rename</Button>
              <RemoveButton what={chosen.name} action={removeLayout} id={chosen.id} onDone={() => undefined} />
            </Only>
            <OutLinks layout={chosen.id} label="As" />
          </div>
          <PlanWorkbench
            key={chosen.id}
            name="layout-stand"
            houses={chosen.houses}
            home={null}
            chosenStand={null}
            pools={chosen.pools}
            loops={loops}
            store={store}
            grows={false}
            facts={<Houses houses={houses} onEdit={(id) => setOpen({ what: "house", id })} />}
            below={
              <p className="no-print mt-4 text-sm text-soft">
                Pools: {chosen.pools.map(({ name }) => name).join(" · ")}{" "}
                <Only right="plan">
                  <button
                    type="button"
                    className="min-h-8 font-bold underline"
                    onClick={() => setOpen({ what: "pool" })}
                  >
                    New pool
                  </button>
                </Only>
              </p>
            }
          />
        </>
      ) : (
        <Empty
          title="Nothing put by yet"
          example="Put the garden by as it stands, pull the copy's channels closer or add a row, and see what that gives before anything is built: 36 channels at 20 cm instead of 25 hold 1044 lettuces instead of 864."
        />
      )}
      <Drawer open={open?.what === "import"} onClose={() => setOpen(null)} title="Bring a layout in">
        <ImportForm onDone={() => setOpen(null)} />
      </Drawer>
      <Drawer open={open?.what === "adopt" && chosen !== null} onClose={() => setOpen(null)} title="Adopt this layout">
        {chosen && <AdoptForm chosen={chosen} onDone={() => setOpen(null)} />}
      </Drawer>
      <Drawer
        open={open?.what === "house" && chosen !== null}
        onClose={() => setOpen(null)}
        title={
          open?.what === "house" && open.id !== null ? "Change the house in this layout" : "New house in this layout"
        }
      >
        {open?.what === "house" && (
          <HouseForm
            house={houses.find(({ id }) => id === open.id) ?? null}
            others={houses}
            store={store}
            onDone={() => setOpen(null)}
          />
        )}
      </Drawer>
      <Drawer
        open={open?.what === "pool" && chosen !== null}
        onClose={() => setOpen(null)}
        title="New pool in this layout"
      >
        <PoolForm pool={null} store={store} onDone={() => setOpen(null)} />
      </Drawer>
      <Drawer open={open?.what === "rename" && chosen !== null} onClose={() => setOpen(null)} title="Rename the layout">
        {chosen && <RenameForm key={chosen.id} layout={chosen} onDone={() => setOpen(null)} />}
      </Drawer>
    </>
  );
}

/** The houses of a layout, to be changed in it alone. */
function Houses({ houses, onEdit }: { houses: readonly House[]; onEdit: (id: number | null) => void }) {
  return (
    <p className="text-soft">
      {houses.map(({ id, name }) => (
        <Only key={id} right="plan">
          <button type="button" className="mr-3 min-h-8 underline" onClick={() => onEdit(id)}>
            {name}
          </button>
        </Only>
      ))}
      <Only right="plan">
        <button type="button" className="min-h-8 font-bold underline" onClick={() => onEdit(null)}>
          New house
        </button>
      </Only>
    </p>
  );
}

/** Files to take out: an ordinary link each, so that the browser keeps them as it keeps any file. */
function OutLinks({ layout, label }: { layout: number | null; label: string }) {
  const query = layout === null ? "" : `?layout=${layout}`;
  return (
    <span className="text-sm text-soft">
      {label}{" "}
      {(
        [
          ["layout.json", "JSON"],
          ["layout.svg", "SVG"],
          ["stands.csv", "CSV of stands"],
        ] as const
      ).map(([file, name]) => (
        <a
          key={file}
          className="mr-2 inline-flex min-h-8 items-center underline"
          href={`/place/${file}${query}`}
          download
        >
          {name}
        </a>
      ))}
    </span>
  );
}
