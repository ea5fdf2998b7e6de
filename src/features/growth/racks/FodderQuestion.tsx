"use client";
import type { ReactNode } from "react";
import { dailyTrays } from "@/core/growth/conveyor";
import { fodderNeed } from "@/core/growth/fodder";
import { count, number } from "@/core/place/kinds/shared";
import type { TrayCropOf } from "@/core/garden/trayNeeds";
import { civilDate, daysInMonth, MONTHS, type Day } from "@/core/units/day";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";
import { Facts } from "../Facts";
import { PlanTrays } from "./PlanTrays";
import { RackRoom } from "./RackRoom";

const MEASURES = [
  count("heads", "Animals", 100_000),
  number("rationG", "Fresh fodder for each a day", "mass", 1, 100_000),
  number("bagG", "A bag of seed", "mass", 10, 2_000_000),
  number("onHandG", "Seed on hand", "mass", 0, 100_000_000),
];

interface QuestionProps {
  readonly crop: TrayCropOf;
  readonly choice: ReactNode;
  readonly today: Day;
}

/** Fodder for animals day after day: trays, seed, and bags of it this month. */
export function FodderQuestion({ crop, choice, today }: QuestionProps) {
  const units = useUnits();
  const us = units.system === "us";
  const first = {
    ...{ heads: "6", rationG: us ? "10 oz" : "300 g" },
    ...{ bagG: us ? "50 lb" : "25 kg", onHandG: us ? "0 lb" : "0 kg" },
  };
  const blanks = useBlanks(`draft:fodder:${crop.varietyId}`, MEASURES, first, units);
  const { heads, rationG, bagG, onHandG } = blanks.good;
  const { year, month } = civilDate(today);
  const tray = { ...crop, daysOnRack: crop.blackoutDays + crop.lightDays };
  const animals = [{ heads: heads!, freshKgPerHeadPerDay: rationG! / 1000 }];
  const store = { bagKg: bagG! / 1000, seedOnHandKg: onHandG! / 1000, daysInMonth: daysInMonth(year, month) };
  const found = fodderNeed(animals, tray, store);
  const rack = dailyTrays(crop, found.freshKgPerDay * 1000, crop.cleaningDays);
  const kg = (value: number) => quantityText(value * 1000, "mass", units);
  return (
    <section aria-label="Fodder for animals">
      <Sentence problems={blanks.problems}>
        I feed <MeasureBlank blanks={blanks} name="heads" /> animals <MeasureBlank blanks={blanks} name="rationG" /> of{" "}
        {choice} each a day. A bag of seed is <MeasureBlank blanks={blanks} name="bagG" />, and{" "}
        <MeasureBlank blanks={blanks} name="onHandG" /> are on hand.
      </Sentence>
      <div className="mt-4 grid gap-x-10 gap-y-4 lg:grid-cols-[auto_minmax(0,1fr)_minmax(0,1fr)]">
        <p>
          <span className="block text-soft">start each day</span>
          <span className="sign text-6xl">{formatNumber(found.traysPerDay, 1)}</span>{" "}
          {found.traysPerDay === 1 ? "tray" : "trays"}
          <span className="mt-3 block text-soft">bags in {MONTHS[month - 1]}</span>
          <span className="sign text-4xl">{found.bagsSown}</span>
        </p>
        <Facts
          rows={[
            ["fed a day", kg(found.freshKgPerDay)],
            ["cut a day", kg(found.cutKgPerDay)],
            ["a tray gives", quantityText(crop.yieldGPerTray, "mass", units)],
            ["seed a day, as sown", kg(found.seedKgPerDaySown)],
            ["by the ration alone", `${kg(found.seedKgPerDayNeeded)}; ${counted(found.bagsNeeded, "bag")}`],
            ["ration of an animal", quantityText(rationG!, "mass", units)],
          ]}
        />
        <RackRoom crop={crop} traysPerDay={found.traysPerDay} places={rack.rackPlaces} inSoak={rack.traysInSoak} />
      </div>
      <PlanTrays crop={crop} traysPerDay={found.traysPerDay} today={today} isGood={blanks.problems.length === 0} />
    </section>
  );
}
