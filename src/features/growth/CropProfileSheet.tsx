"use client";
import type { CropProfile } from "@/core/garden/cropProfile";
import type { GrowingAreaRow, Variety } from "@/core/garden/garden";
import { STAND_MODELS } from "@/core/place/kinds";
import type { HarvestUnit } from "@/core/growth/harvestUnit";
import type { Day } from "@/core/units/day";
import type { Dimension } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import type { SowingCounts } from "@/server/growth/queries";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { later } from "@/ui/later";
import { useUnits } from "@/ui/units";
import { CLOCK_COST, CLOCK_HOW, CLOCK_NAME, clockFaultWords, LEFT_OUT, stallWords } from "./clockWords";
import { Facts } from "./Facts";
import { Learned } from "./Learned";
import { SeedCard } from "./SeedCard";
import { SowingYear, type SowingYearProps } from "./SowingYear";

const VarietyForm = later(() => import("./VarietyForm").then((part) => part.VarietyForm));

interface CropProfileSheetProps extends CropProfile {
  /** Of the latest sowings on which seedlings were counted. */
  readonly counts: readonly SowingCounts[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly units: readonly HarvestUnit[];
  readonly today: Day;
}

/** One crop: its year, how its days go by, what suits it and what it must not share water with. */
export function CropProfileSheet({
  variety,
  kept,
  seed,
  lotWarnings,
  counts,
  learned,
  fault,
  stall,
  elsewhere,
  badNeighbours,
  growingAreas,
  units,
  today,
}: CropProfileSheetProps) {
  const [editing, setEditing] = useOpened<number>("profile");
  const areaName = (id: number) => growingAreas.find((area) => area.id === id)?.name ?? "its growing area";
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
      <section aria-label="Its year" className="min-w-0">
        <SowingYear name={variety.name} stages={variety.stages} beside={besideOf(variety, elsewhere)} today={today} />
        {variety.clock !== "warmth" && (
          <p className="text-soft">
            Dashed: the same table{" "}
            {variety.clock === "calendar" ? "read once, on the first day of each stage" : "day by day"}.
          </p>
        )}
        {elsewhere.length > 0 && (
          <p className="text-soft">
            Dashed: with its last stage in that house instead, without mats and lamps of stands.
          </p>
        )}
        <h2 className="mt-4 text-2xl">Days by {CLOCK_NAME[variety.clock]}</h2>
        {stall && (
          <p role="alert" className="font-bold text-alarm">
            {stallWords(variety, stall, stall.cause ?? undefined)}
          </p>
        )}
        {fault && (
          <p role="alert" className="font-bold text-alarm">
            Its days go by the table of months for now. {clockFaultWords(fault, areaName)}
          </p>
        )}
        <p>{CLOCK_HOW[variety.clock]}</p>
        <p className="text-soft">{CLOCK_COST[variety.clock]}</p>
        <Learned variety={kept} learned={learned} areaName={areaName} />
        {variety.notModelled.length > 0 && (
          <ul className="mt-2 space-y-1 border-l-4 border-feed pl-3">
            {variety.notModelled.map((one) => (
              <li key={one}>{LEFT_OUT[one]}</li>
            ))}
          </ul>
        )}
      </section>
      <div className="space-y-4">
        <Suits variety={variety} />
        <section aria-label="Water it must not share">
          <h2 className="text-2xl">Not in one tank with</h2>
          {badNeighbours.length === 0 ? (
            <p className="text-soft">Nothing that you grow, by the bands that are told.</p>
          ) : (
            <ul className="flex flex-wrap gap-x-4">
              {badNeighbours.map(({ name, why }) => (
                <li key={name}>
                  {name} <span className="text-soft">{WHY_APART[why]}</span>
                </li>
              ))}
            </ul>
          )}
        </section>
        <SeedCard variety={kept} seed={seed} warnings={lotWarnings} counts={counts} />
        <Only right="plan">
          <Button look="strong" onClick={() => setEditing(variety.id)}>
            Change its profile
          </Button>
        </Only>
      </div>
      <Drawer open={editing !== null} onClose={() => setEditing(null)} title="Change the variety">
        {editing !== null && (
          <VarietyForm
            variety={kept}
            growingAreas={growingAreas}
            units={units}
            usualAreaId={null}
            today={today}
            onDone={() => setEditing(null)}
          />
        )}
      </Drawer>
    </div>
  );
}

/** What is drawn beside the days of a crop: its last stage in other houses, or the other habit of the calendar. */
function besideOf({ clock, stages }: Variety, elsewhere: CropProfile["elsewhere"]): SowingYearProps["beside"] {
  if (clock === "warmth") return elsewhere;
  const isDaily = clock === "calendar";
  return [
    {
      name: isDaily ? "read at start" : "day by day",
      stages: stages.map((stage) => ({ ...stage, daysRead: isDaily ? ("start" as const) : ("daily" as const) })),
    },
  ];
}

const WHY_APART = { ec: "other EC", ph: "other pH", solution: "warmer or colder water" } as const;

function Suits({ variety }: { readonly variety: Variety }) {
  const units = useUnits();
  const band = (low: number | null, high: number | null, dimension: Dimension) =>
    low === null && high === null
      ? null
      : `${low === null ? "up" : quantityText(low, dimension, units)} to ${high === null ? "any" : quantityText(high, dimension, units)}`;
  const air = [variety.airBaseC, variety.airOptimumC, variety.airCeilingC];
  const names = (kinds: Variety["suits"]) =>
    kinds.map((kind) => STAND_MODELS[kind].words.name.toLowerCase()).join(", ");
  const rows: (readonly [string, string | null])[] = [
    ["EC", band(variety.ecLow, variety.ecHigh, "ec")],
    ["pH", band(variety.phLow, variety.phHigh, "ph")],
    ["water in the roots", band(variety.solutionLowC, variety.solutionHighC, "temperature")],
    [
      "air: begins, best, ends",
      air.every((value) => value !== null)
        ? air.map((value) => quantityText(value!, "temperature", units)).join(" · ")
        : null,
    ],
    ["light a day", variety.lightMolPerM2Day === null ? null : `${formatNumber(variety.lightMolPerM2Day, 1)} mol/m²`],
    ["grows in", variety.suits.length > 0 ? names(variety.suits) : null],
    ["not in", variety.suitsNot.length > 0 ? names(variety.suitsNot) : null],
  ];
  return (
    <section aria-label="What suits it">
      <h2 className="text-2xl">What suits it</h2>
      <Facts rows={rows} />
      <p className="text-sm text-soft">
        What comes from the library is common practice; crop coefficients of full-grown crops are those of FAO paper 56
        where it has them.
      </p>
    </section>
  );
}
