"use client";
import { useState } from "react";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { openLayout, removeWhatIf } from "@/server/garden/whatIf/actions";
import type { ChosenWhatIf, WhatIfView } from "@/server/garden/whatIf/view";
import { Button, buttonClass } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { PageLink, usePageRouter } from "@/ui/PageLink";
import { later } from "@/ui/later";
import { useOpened } from "@/features/frame/drafts";
import { RemoveButton } from "@/features/frame/RemoveButton";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { WhatIfChanges } from "./WhatIfChanges";
import { WhatIfConflicts } from "./WhatIfConflicts";
import { WhatIfTable } from "./WhatIfTable";

const WhatIfForm = later(() => import("./WhatIfForm").then((part) => part.WhatIfForm));
const ImportForm = later(() => import("./ImportForm").then((part) => part.ImportForm));

type Editing = "new" | "copy" | "rename" | "import";
const TITLES: Readonly<Record<Editing, string>> = {
  new: "New what-if",
  copy: "Duplicate the what-if",
  rename: "Change the what-if",
  import: "Import a layout",
};

/** What would happen if: changes of the plan beside the garden, compared, settled and adopted. */
export function WhatIfSheet({ now, compared, chosen, layouts }: WhatIfView) {
  const [editing, setEditing] = useOpened<Editing>("what-if");
  const router = usePageRouter();
  const show = (id: number) => {
    setEditing(null);
    router.push(`/batches/what-if?set=${id}`, { scroll: false });
  };
  return (
    <>
      {chosen ? (
        <WhatIfTable now={now} compared={compared} chosen={chosen.id} />
      ) : (
        <Empty
          title="No what-if yet"
          example="For instance a stronger pump, one bench more or an order less: try it on any sheet without touching the garden, then compare places, flow, water, salts, orders and money."
        />
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Only right="plan">
          <Button look={chosen ? "plain" : "strong"} data-key="n" onClick={() => setEditing("new")}>
            New what-if
          </Button>
          <Button look="quiet" onClick={() => setEditing("import")}>
            Import a layout
          </Button>
        </Only>
      </div>
      <Layouts layouts={layouts} onOpened={show} />
      {chosen && <Chosen key={chosen.id} chosen={chosen} onEdit={setEditing} />}
      <Drawer open={editing !== null} onClose={() => setEditing(null)} title={editing ? TITLES[editing] : ""}>
        {editing === "import" && <ImportForm onDone={() => setEditing(null)} />}
        {editing && editing !== "import" && (
          <WhatIfForm
            whatIf={editing === "new" ? null : chosen}
            {...(editing === "copy" && { copies: true })}
            onDone={(id) => (editing === "rename" ? setEditing(null) : show(id))}
          />
        )}
      </Drawer>
    </>
  );
}

const OPEN_ON = [
  ["/place", "Place"],
  ["/water", "Water"],
  ["/feed", "Feed"],
  ["/growth", "Growth"],
  ["/batches", "Season"],
  ["/batches/orders", "Orders"],
] as const;

function Chosen({ chosen, onEdit }: { chosen: ChosenWhatIf; onEdit: (editing: Editing) => void }) {
  const { id, name, purpose } = chosen;
  const [gone, setGone] = useState(false);
  if (gone) return null;
  return (
    <section aria-label={name} className="mt-6 border-t-2 border-ink pt-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <h2 className="text-2xl">{name}</h2>
        {purpose && <p className="text-soft">{purpose}</p>}
      </div>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <span className="text-soft">Try it on</span>
        {OPEN_ON.map(([href, sheet]) => (
          // Loaded anew: from here on every sheet is the what-if's.
          <a key={href} href={`${href}?whatif=${id}`} className={buttonClass("plain")}>
            {sheet}
          </a>
        ))}
        <Only right="plan">
          <Button look="quiet" onClick={() => onEdit("rename")}>
            Change its name
          </Button>
          <Button look="quiet" onClick={() => onEdit("copy")}>
            Duplicate
          </Button>
          <RemoveButton what={name} action={removeWhatIf} id={id} onDone={() => setGone(true)} />
        </Only>
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-5 lg:grid-cols-[3fr_2fr]">
        <div>
          <WhatIfConflicts chosen={chosen} />
          <WhatIfChanges chosen={chosen} />
        </div>
        <Displaced chosen={chosen} />
      </div>
    </section>
  );
}

function Displaced({ chosen: { rows, batches, displaced } }: { chosen: ChosenWhatIf }) {
  if (rows.length === 0 || batches === 0) return null;
  if (displaced.length === 0)
    return (
      <p className="self-start border-l-[6px] border-leaf bg-leaf-pale px-3 py-2 font-bold">
        None of the plan&apos;s {batches} batches loses a place that it has now.
      </p>
    );
  return (
    <section aria-label="Batches that no longer fit">
      <p className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
        {counted(displaced.length, "stay of a batch", "stays of batches")} would no longer fit. None is lost: they stay
        above capacity in the season until you move them.
      </p>
      <div className="mt-2 max-h-[48vh] overflow-y-auto border-b border-rule">
        <table className="w-full text-sm">
          <thead className="text-left text-soft">
            <tr>
              <th className="font-normal">Batch</th>
              <th className="font-normal">Growing area</th>
              <th className="font-normal">From</th>
              <th className="text-right font-normal">Without a place</th>
            </tr>
          </thead>
          <tbody>
            {displaced.map((one) => (
              <tr key={`${one.batchId} ${one.growingAreaName}`} className="border-t border-rule">
                <td className="py-1">
                  <PageLink href={`/batches?batch=${one.batchId}`} className="underline">
                    {one.variety} of {dayInWords(one.sownOn)}
                  </PageLink>
                </td>
                <td>{one.growingAreaName}</td>
                <td>{dayInWords(one.from)}</td>
                <td className="text-right">
                  {one.over} of {one.plants}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Layouts that were saved before there were what-ifs: each becomes one when it is opened. */
function Layouts({ layouts, onOpened }: Pick<WhatIfView, "layouts"> & { onOpened: (id: number) => void }) {
  const { run, busy } = useCommand(openLayout, { done: "Opened as a what-if" });
  if (layouts.length === 0) return null;
  return (
    <Only right="plan">
      <p className="mt-3 flex flex-wrap items-center gap-2 text-soft">
        Layouts saved before:
        {layouts.map(({ id, name }) => (
          <Button
            key={id}
            look="quiet"
            disabled={busy}
            onClick={async () => {
              const result = await run({ id });
              if (result.ok) onOpened(result.value);
            }}
          >
            Open {name}
          </Button>
        ))}
      </p>
    </Only>
  );
}
