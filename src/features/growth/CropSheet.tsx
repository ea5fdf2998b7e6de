"use client";
import { stageBoundaries, stallOf } from "@/core/growth/stageDays";
import type { HarvestUnit } from "@/core/growth/harvestUnit";
import { dayInWords, MONTHS, type Day } from "@/core/units/day";
import type { Variety } from "@/core/garden/garden";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { PageLink, useWhatIfParam, withinWhatIf } from "@/ui/PageLink";
import { cropMarks } from "@/core/garden/cropMarks";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";
import { isSownInTrays } from "@/core/growth/cropKind";
import { CLOCK_HOW } from "./clockWords";
import { patternWords } from "./patternWords";
import { StageYear } from "./StageYear";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const CropLibrary = later(() => import("./CropLibrary").then((part) => part.CropLibrary));
const CropsImport = later(() => import("./CropsImport").then((part) => part.CropsImport));
const VarietyForm = later(() => import("./VarietyForm").then((part) => part.VarietyForm));

export interface CropSheetProps {
  readonly varieties: readonly Variety[];
  /** As they are kept, without their clocks and what was learned: what a form changes. */
  readonly kept: readonly Variety[];
  /** Batches of each variety in the ground. */
  readonly growing: readonly number[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly units: readonly HarvestUnit[];
  readonly today: Day;
}

/** Every variety with its stages through the year, and when it would be ready if it were sown today. */
export function CropSheet({ varieties, kept, growing, growingAreas, units, today }: CropSheetProps) {
  const whatIf = useWhatIfParam();
  const marks = cropMarks(varieties);
  const [editing, setEditing] = useOpened<number | "new" | "library" | "file">("growth");
  return (
    <>
      {varieties.length === 0 && (
        <Empty
          title="No variety yet"
          example="For instance Batavia lettuce: 5 days to come up, 14 in the nursery, 28 in the channel in April, germination 93 %."
        />
      )}
      <ul>
        {varieties.map((variety, index) => {
          const boundaries = stageBoundaries(today, variety.stages);
          const stall = stallOf(boundaries, variety.stages);
          return (
            <li
              key={variety.id}
              className="grid items-center gap-x-6 gap-y-1 border-b border-rule py-1 md:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)_10rem_auto]"
            >
              <div>
                <h2 className="flex items-center gap-2 text-xl">
                  <CropSwatch mark={marks.get(variety.id)!} />
                  <PageLink href={`/growth/crop?variety=${variety.id}`} className="underline-offset-4 hover:underline">
                    {variety.name}
                  </PageLink>
                </h2>
                <p className="text-sm text-soft">
                  {patternWords(variety.pattern, variety.unit.name, isSownInTrays(variety.kind) ? "tray" : "plant")} ·{" "}
                  {seedWords(variety)}
                </p>
              </div>
              <StageYear variety={variety} growingAreas={growingAreas} today={today} />
              <p className="text-right max-md:text-left">
                <span className="sign text-xl">
                  ready{" "}
                  <Why label={`${variety.name}, sown today`} how={CLOCK_HOW[variety.clock]}>
                    {stall ? "never" : dayInWords(boundaries.at(-1)!)}
                  </Why>
                </span>
                <span className="block text-sm text-soft">
                  {stall ? `stalls in ${MONTHS[stall.month - 1]!}` : "if sown now"} · {growing[index]} growing
                </span>
              </p>
              <Only right="plan">
                <Button
                  look="quiet"
                  className="no-print !min-h-9 !text-base"
                  aria-label={`Change ${variety.name}`}
                  onClick={() => setEditing(variety.id)}
                >
                  Change
                </Button>
              </Only>
            </li>
          );
        })}
      </ul>
      <Only right="plan">
        <Button className="mt-4" data-key="n" onClick={() => setEditing("new")}>
          New variety
        </Button>{" "}
        <Button
          className="mt-4"
          look={varieties.length === 0 ? "strong" : "plain"}
          onClick={() => setEditing("library")}
        >
          From the library
        </Button>{" "}
        <Button className="mt-4" onClick={() => setEditing("file")}>
          From a file
        </Button>{" "}
        <a className="ml-2 underline" href={withinWhatIf("/growth/crops.csv", whatIf)} download>
          CSV
        </a>
      </Only>
      <Drawer
        open={editing !== null}
        onClose={() => setEditing(null)}
        title={
          editing === "file"
            ? "Crops from a file"
            : editing === "library"
              ? "30 crops to take over"
              : editing === "new"
                ? "New variety"
                : "Change the variety"
        }
      >
        {editing === "library" && <CropLibrary there={varieties.map(({ name }) => name)} />}
        {editing === "file" && <CropsImport {...{ kept, growingAreas, units }} onDone={() => setEditing(null)} />}
        {editing !== null && editing !== "library" && editing !== "file" && (
          <VarietyForm
            variety={kept.find(({ id }) => id === editing) ?? null}
            today={today}
            growingAreas={growingAreas}
            units={units}
            usualAreaId={usualArea(varieties)}
            onDone={() => setEditing(null)}
          />
        )}
      </Drawer>
    </>
  );
}

/** The growing area in which most varieties end. */
function usualArea(varieties: readonly Variety[]): number | null {
  const ids = varieties.flatMap(({ stages }) => stages.at(-1)?.growingAreaId ?? []);
  const times = (id: number) => ids.filter((one) => one === id).length;
  return ids.reduce<number | null>((best, id) => (best === null || times(id) > times(best) ? id : best), null);
}

function seedWords({ kind, germination, seedsPerCell }: Variety): string {
  const seeds = seedsPerCell > 1 ? `, ${seedsPerCell}\u00a0seeds a\u00a0${isSownInTrays(kind) ? "tray" : "cell"}` : "";
  return `germination ${Math.round(germination * 100)} %${seeds}`;
}
