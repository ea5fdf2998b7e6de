"use client";
import { useState } from "react";
import type { RackWeek, TrayCropOf } from "@/core/garden/trayNeeds";
import type { Day } from "@/core/units/day";
import { CAUTIONS } from "@/core/feed/cautions";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { CautionNote } from "@/ui/Caution";
import { Empty } from "@/ui/Empty";
import { FodderQuestion } from "./FodderQuestion";
import { RackWeekPicture } from "./RackWeekPicture";
import { DailyQuestion } from "./DailyQuestion";

interface ShootsSheetProps {
  readonly crops: readonly TrayCropOf[];
  readonly weeks: readonly RackWeek[];
  readonly today: Day;
}

/** Trays that are sown by weight: what the orders ask of each rack, and what a steady need takes. */
export function ShootsSheet({ crops, weeks, today }: ShootsSheetProps) {
  const [chosen, setChosen] = useState((crops.find(({ isFodder }) => isFodder) ?? crops[0])?.varietyId ?? 0);
  const crop = crops.find(({ varietyId }) => varietyId === chosen) ?? crops[0];
  if (!crop)
    return (
      <Empty
        title="No crop is sown in trays by weight yet"
        example="Take sunflower shoots or fodder from the library under Crops, or tick “Sown in trays by weight” in a profile: so many grams of seed on a tray, so many days in the dark and in the light."
      />
    );
  const choice = (
    <ChoiceBlank
      name="crop"
      label="Crop"
      value={crop.varietyId}
      options={crops.map(({ varietyId, name }) => ({ value: varietyId, label: name }))}
      onValue={setChosen}
    />
  );
  return (
    <div className="space-y-8">
      {crop.isFodder ? (
        <FodderQuestion key={crop.varietyId} crop={crop} choice={choice} today={today} />
      ) : (
        <DailyQuestion key={crop.varietyId} crop={crop} choice={choice} today={today} />
      )}
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        {weeks.map((week) => (
          <RackWeekPicture key={week.growingAreaId} week={week} crops={crops} />
        ))}
      </div>
      <div className="space-y-2">
        <CautionNote {...(crop.isFodder ? CAUTIONS.fodder : CAUTIONS.sprouts)} />
      </div>
    </div>
  );
}
