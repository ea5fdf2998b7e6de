"use client";
import { useRouter } from "next/navigation";
import { ChevronLeft, ChevronRight } from "lucide-react";
import type { RackEvent, RackView } from "@/core/garden/rackView";
import { dayInWords, isoFromDay, type Day } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import { CAUTIONS } from "@/core/feed/cautions";
import { timerWords } from "@/features/water/words";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { DayInput } from "@/ui/DayInput";
import { Empty } from "@/ui/Empty";
import { withinWhatIf, useWhatIfParam } from "@/ui/PageLink";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { RackPicture } from "./RackPicture";
import { eventWords } from "./words";

interface RackSheetProps {
  readonly areas: readonly { readonly id: number; readonly name: string }[];
  readonly areaId: number | null;
  readonly day: Day;
  readonly today: Day;
  readonly racks: readonly RackView[];
  readonly events: readonly RackEvent[];
}

/** Racks shelf by shelf on a day: what stands in each tray, and what is to be done with it. */
export function RackSheet({ areas, areaId, day, today, racks, events }: RackSheetProps) {
  const units = useUnits();
  const router = useRouter();
  const whatIf = useWhatIfParam();
  if (areaId === null)
    return (
      <Empty
        title="No rack yet"
        example="Stand one up under Place: “I have 1 rack of 4 shelves with 6 trays of 84 cells each”. Then each tray is shown here with what stands in it, day by day."
      />
    );
  const goTo = (next: Day | null) =>
    next !== null &&
    router.push(withinWhatIf(`/growth/propagation?area=${areaId}&day=${isoFromDay(next)}`, whatIf), { scroll: false });
  const hasShoots = racks.some(({ rinsesPerDay }) => rinsesPerDay !== null);
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1.8fr)_minmax(0,1fr)]">
      <section aria-label="The racks" className="min-w-0">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <Picker href={`/growth/propagation?day=${isoFromDay(day)}`} query="area" rows={areas} chosen={areaId} />
          <div className="mb-4 flex items-center gap-2">
            <Button aria-label="A day earlier" onClick={() => goTo(day - 1)}>
              <ChevronLeft aria-hidden className="size-6" />
            </Button>
            <DayInput bare aria-label="Day" value={day} onValue={goTo} />
            <Button aria-label="A day later" onClick={() => goTo(day + 1)}>
              <ChevronRight aria-hidden className="size-6" />
            </Button>
          </div>
        </div>
        {racks.map((rack) => (
          <figure key={rack.standId} className="mb-6">
            <figcaption className="mb-1 flex flex-wrap items-baseline gap-x-4">
              <span className="sign text-2xl">{rack.name}</span>
              <span className="text-soft">{rackFacts(rack, units)}</span>
            </figcaption>
            <RackPicture rack={rack} />
          </figure>
        ))}
      </section>
      <section aria-label="Due on this day" className="min-w-0">
        <h2 className="text-2xl">
          {day === today ? "Today" : dayInWords(day, "weekday")}
          {day !== today && <span className="text-soft"> {day < today ? "as it was" : "as planned"}</span>}
        </h2>
        {events.length === 0 ? (
          <p className="text-soft">Nothing is sown, uncovered or taken off here on this day.</p>
        ) : (
          <ul>
            {events.map((event) => (
              <li key={`${event.kind}:${event.batchId}`} className="border-t border-rule py-2">
                {eventWords(event, units)}
              </li>
            ))}
          </ul>
        )}
        {hasShoots && <CautionNote {...CAUTIONS.sprouts} />}
        {racks.some(({ matC, lampHours }) => matC !== null || lampHours !== null) && <CautionNote {...CAUTIONS.mats} />}
      </section>
    </div>
  );
}

function rackFacts(rack: RackView, units: UnitPreferences): string {
  const { houseName, matC, mat, lampHours, domed, rinsesPerDay, loop } = rack;
  const needs = mat === null ? "" : `: ${formatNumber(mat.watts, 0)} W in the coldest night`;
  return [
    houseName,
    loop === null ? "watered by hand" : `watered by the ${loop.name} loop: ${timerWords(loop.timer)}`,
    matC === null ? null : `mat at ${quantityText(matC, "temperature", units)}${needs}`,
    lampHours === null ? null : `lamps ${lampHours} h a day`,
    domed ? "under a dome" : null,
    rinsesPerDay === null ? null : `rinsed ${rinsesPerDay} times a day`,
  ]
    .filter((fact) => fact !== null)
    .join(" · ");
}
