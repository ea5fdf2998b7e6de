"use client";
import type { ReactNode } from "react";
import { dailyTrays } from "@/core/growth/conveyor";
import { number } from "@/core/place/kinds/shared";
import type { TrayCropOf } from "@/core/garden/trayNeeds";
import type { Day } from "@/core/units/day";
import { formatNumber, quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";
import { Facts } from "../Facts";
import { PlanTrays } from "./PlanTrays";
import { RackRoom } from "./RackRoom";

const MEASURES = [number("needG", "Cut each day", "mass", 1, 1_000_000)];

interface QuestionProps {
  readonly crop: TrayCropOf;
  /** The blank in which the crop is chosen. */
  readonly choice: ReactNode;
  readonly today: Day;
}

/** So much of a crop every day: trays to start, what stands on the rack, seed. */
export function DailyQuestion({ crop, choice, today }: QuestionProps) {
  const units = useUnits();
  const first = { needG: units.system === "us" ? "2 lb" : "1200 g" };
  const blanks = useBlanks(`draft:shoots:${crop.varietyId}`, MEASURES, first, units);
  const found = dailyTrays(crop, blanks.good.needG!, crop.cleaningDays);
  return (
    <section aria-label="So much every day">
      <Sentence problems={blanks.problems}>
        I cut <MeasureBlank blanks={blanks} name="needG" /> of {choice} every day.
      </Sentence>
      <div className="mt-4 grid gap-x-10 gap-y-4 lg:grid-cols-[auto_minmax(0,1fr)_minmax(0,1fr)]">
        <p>
          <span className="block text-soft">start each day</span>
          <span className="sign text-6xl">{formatNumber(found.traysPerDay, 1)}</span>{" "}
          {found.traysPerDay === 1 ? "tray" : "trays"}
        </p>
        <Facts
          rows={[
            ["a tray gives", quantityText(found.yieldGPerTray, "mass", units)],
            ["seed on a tray", quantityText(crop.seedGPerTray, "mass", units)],
            ["seed a day", quantityText(found.seedGPerDay, "mass", units)],
            ["seed in a month of 30 days", quantityText(found.seedGPerDay * 30, "mass", units)],
            ["over each day", quantityText(found.surplusGPerDay, "mass", units)],
            ["come up", `${Math.round(crop.germination * 100)} in 100`],
          ]}
        />
        <RackRoom crop={crop} traysPerDay={found.traysPerDay} places={found.rackPlaces} inSoak={found.traysInSoak} />
      </div>
      <PlanTrays crop={crop} traysPerDay={found.traysPerDay} today={today} isGood={blanks.problems.length === 0} />
    </section>
  );
}
