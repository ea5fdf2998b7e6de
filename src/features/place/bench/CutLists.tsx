"use client";
import { inText } from "@/core/units/rounded";
import { clearance, type Assembly } from "@/core/place/bench/assembly";
import { dayInWords } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import type { CutProgress } from "@/core/place/bench/cutList";
import type { Job } from "@/server/jobs/job";
import { isAtWork, JobLine } from "@/features/frame/JobLine";
import { useJob } from "@/features/frame/jobEvents";
import { cutDone, planCuts } from "@/server/place/benchActions";
import type { CutListRow, Offcut } from "@/server/place/benchQueries";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Drawer } from "@/ui/Drawer";
import { useOpened } from "@/features/frame/drafts";
import { Empty } from "@/ui/Empty";
import { later } from "@/ui/later";
import { Picker } from "@/ui/Picker";
import { PrintButton } from "@/ui/PrintButton";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import type { CutListStart } from "./CutListForm";
import { CutPlanView } from "./CutPlanView";

const AssemblyForm = later(() => import("./AssemblyForm").then((part) => part.AssemblyForm));
const CutListForm = later(() => import("./CutListForm").then((part) => part.CutListForm));
const OffcutForm = later(() => import("./OffcutForm").then((part) => part.OffcutForm));

export interface CutListsProps {
  readonly lists: readonly CutListRow[];
  readonly chosen: CutListRow | null;
  /** The newest planning of the chosen list. */
  readonly job: Job | null;
  readonly shelf: readonly Offcut[];
  /** Lists that stands need: their channels, their supports. */
  readonly starts: readonly CutListStart[];
}

type Open =
  | { readonly what: "list" }
  | { readonly what: "new"; readonly start: number | null }
  | { readonly what: "assembly"; readonly index: number | null }
  | { readonly what: "offcut"; readonly id: number | null };

/** Cut lists: what is wanted, the plan with its proof, the checks before cutting, and the shelf. */
export function CutLists({ lists, chosen, job, shelf, starts }: CutListsProps) {
  const units = useUnits();
  const [open, setOpen] = useOpened<Open>("bench");
  const close = () => setOpen(null);
  return (
    <>
      <Picker
        href="/place/bench"
        query="list"
        rows={lists.map(({ id, name, cutOn }) => ({ id, name: cutOn === null ? name : `${name} ✓` }))}
        chosen={chosen?.id ?? null}
      >
        <Only right="plan">
          <Button look={chosen ? "quiet" : "strong"} data-key="n" onClick={() => setOpen({ what: "new", start: null })}>
            New cut list
          </Button>
        </Only>
      </Picker>
      <Only right="plan">
        {starts.length > 0 && (
          <p className="no-print mb-3 text-sm text-soft">
            From the stands:{" "}
            {starts.map((start, index) => (
              <button
                key={start.name}
                type="button"
                className="mr-3 min-h-8 underline"
                onClick={() => setOpen({ what: "new", start: index })}
              >
                {start.name}
              </button>
            ))}
          </p>
        )}
      </Only>
      {chosen ? (
        <OneList list={chosen} asked={job} shelf={shelf} onOpen={setOpen} />
      ) : (
        <Empty
          title="No cut list yet"
          example={inText(
            "Four rails of {1200 mm}, six legs of {800 mm} and four cross members of {550 mm} come out of two bars of {6 m}, with a {3 mm} saw: the plan draws each bar with its cuts in order, and says why no plan needs fewer.",
            units,
          )}
        />
      )}
      <Drawer
        open={open?.what === "new" || open?.what === "list"}
        onClose={close}
        title={open?.what === "list" ? "Change the cut list" : "New cut list"}
      >
        {open?.what === "list" && <CutListForm list={chosen} start={null} onDone={close} />}
        {open?.what === "new" && (
          <CutListForm list={null} start={open.start === null ? null : (starts[open.start] ?? null)} onDone={close} />
        )}
      </Drawer>
      <Drawer open={open?.what === "assembly" && chosen !== null} onClose={close} title="Check before cutting">
        {open?.what === "assembly" && chosen && (
          <AssemblyForm
            list={chosen}
            index={open.index}
            assembly={open.index === null ? null : (chosen.assemblies[open.index] ?? null)}
            onDone={close}
          />
        )}
      </Drawer>
      <Drawer open={open?.what === "offcut"} onClose={close} title="On the shelf">
        {open?.what === "offcut" && (
          <OffcutForm
            offcut={shelf.find(({ id }) => id === open.id) ?? null}
            material={chosen?.material ?? ""}
            onDone={close}
          />
        )}
      </Drawer>
    </>
  );
}

const soFar = ({ best, bound }: CutProgress) => `best so far ${best}, at least ${bound}`;

function OneList({
  list,
  asked,
  shelf,
  onOpen,
}: {
  list: CutListRow;
  asked: Job | null;
  shelf: readonly Offcut[];
  onOpen: (open: Open) => void;
}) {
  const units = useUnits();
  const asking = useCommand(planCuts, { undo: false });
  const job = useJob(asked);
  const isPlanning = isAtWork(job) || asking.busy;
  const done = useCommand(cutDone, { done: "Marked as cut; the offcuts are on the shelf" });
  const mm = (value: number) => quantityText(value, "bore", units);
  const pieces = list.pieces.reduce((sum, { count }) => sum + count, 0);
  return (
    <div className="grid gap-x-8 gap-y-4 wide:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0">
        <h2 className="text-3xl">{list.name}</h2>
        <p className="text-soft">
          {list.material}: {pieces} pieces from {list.stocks.map(({ lengthMm }) => mm(lengthMm)).join(", ")}; the saw
          takes {mm(list.sawCutMm)}
          {list.trimMm > 0 && `, ${mm(list.trimMm)} off each end`}
          {list.cutOn !== null && `; cut on ${dayInWords(list.cutOn)}`}
        </p>
        <div className="no-print my-3 flex flex-wrap items-center gap-2">
          <Only right="plan">
            <JobLine job={job} what="Planning the cuts" how={soFar} />
            {!isAtWork(job) && (
              <Button
                look={list.plan ? "plain" : "strong"}
                disabled={asking.busy}
                onClick={() => void asking.run({ id: list.id, version: list.version })}
              >
                {list.plan ? "Plan again" : "Plan the cuts"}
              </Button>
            )}
            <Button disabled={isPlanning} onClick={() => onOpen({ what: "list" })}>
              Change the list
            </Button>
            {list.plan && list.cutOn === null && (
              <Button
                look="go"
                disabled={done.busy || isPlanning}
                onClick={() => void done.run({ id: list.id, version: list.version })}
              >
                Mark as cut
              </Button>
            )}
          </Only>
          {list.plan && <PrintButton label="Print" />}
        </div>
        {list.plan ? (
          <CutPlanView plan={list.plan} sawCutMm={list.sawCutMm} leastOffcutMm={list.leastOffcutMm} />
        ) : (
          <ul className="mt-2 text-lg">
            {list.pieces.map(({ lengthMm, count, label }, index) => (
              <li key={index}>
                {count} × {mm(lengthMm)} {label}
              </li>
            ))}
          </ul>
        )}
      </div>
      <aside>
        <section aria-label="Checks before cutting">
          <h2 className="text-2xl">Before cutting</h2>
          <CautionNote
            short="Saws and burrs cut hands."
            more="Clamp what is cut, wear glasses, keep the saw’s guard on, and take the burr off before a hand slides along. Cut away from water and from cables that are live."
          />
          {list.assemblies.map((assembly, index) => (
            <Check key={index} assembly={assembly} onOpen={() => onOpen({ what: "assembly", index })} />
          ))}
          <Only right="plan">
            <Button look="quiet" className="no-print" onClick={() => onOpen({ what: "assembly", index: null })}>
              Will it fit together?
            </Button>
          </Only>
        </section>
        <section aria-label="The shelf" className="mt-4">
          <h2 className="text-2xl">On the shelf</h2>
          {shelf.length === 0 && (
            <p className="text-soft">Nothing yet. Offcuts worth keeping are listed here for the next cut list.</p>
          )}
          <ul>
            {shelf.map((offcut) => (
              <li key={offcut.id} className="flex items-baseline justify-between border-t border-rule py-1">
                <span>
                  {offcut.count} × <b>{mm(offcut.lengthMm)}</b>{" "}
                  <span className="text-sm text-soft">{offcut.material}</span>
                </span>
                <Only right="plan">
                  <button
                    type="button"
                    className="no-print min-h-8 underline"
                    aria-label={`Change ${mm(offcut.lengthMm)} of ${offcut.material}`}
                    onClick={() => onOpen({ what: "offcut", id: offcut.id })}
                  >
                    change
                  </button>
                </Only>
              </li>
            ))}
          </ul>
          <Only right="plan">
            <Button look="quiet" className="no-print" onClick={() => onOpen({ what: "offcut", id: null })}>
              Add to the shelf
            </Button>
          </Only>
        </section>
      </aside>
    </div>
  );
}

const VERDICTS: Readonly<Record<ReturnType<typeof clearance>["verdict"], string>> = {
  "too-long": "does not fit",
  exact: "exactly as long: nothing is left for the saw, the burr and a warm day",
  tight: "tight",
  fits: "fits",
};

function Check({ assembly, onOpen }: { assembly: Assembly; onOpen: () => void }) {
  const units = useUnits();
  const mm = (value: number) => quantityText(value, "bore", units);
  const { totalMm, playMm, verdict } = clearance(assembly);
  const bad = verdict === "too-long" || verdict === "exact";
  return (
    <div
      className={`mt-2 border-l-[6px] px-3 py-2 text-sm ${bad ? "border-alarm bg-alarm-pale" : verdict === "tight" ? "border-feed bg-feed-pale" : "border-leaf bg-leaf-pale"}`}
    >
      <p>
        <b>{assembly.name}</b>{" "}
        <Only right="plan">
          <button type="button" className="no-print min-h-8 underline" onClick={onOpen}>
            change
          </button>
        </Only>
      </p>
      <p>
        <Why
          label={assembly.name}
          how="Sum of the pieces and of the take-up of every fitting on its sides, beside what it has to go with."
          inputs={[
            ["together", mm(totalMm)],
            [assembly.way === "takes-a-piece" ? "the thing" : "the space", mm(assembly.otherMm)],
          ]}
        >
          <b>{mm(Math.abs(playMm))}</b>
        </Why>{" "}
        {playMm < 0 ? "too much" : "of play"}: {VERDICTS[verdict]}.
      </p>
    </div>
  );
}
