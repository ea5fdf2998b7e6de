"use client";
import { useMemo } from "react";
import { stagesReached } from "@/core/garden/setup/alreadyGrowing";
import type { PlanInput, PlanVariety } from "@/core/batches/types";
import { stageBoundaries } from "@/core/growth/stageDays";
import { count, number } from "@/core/place/kinds/shared";
import { dayInWords } from "@/core/units/day";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { useCommand } from "@/features/frame/useCommand";
import { addGrowing } from "@/server/batches/keep";
import { Button } from "@/ui/Button";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";

const MEASURES = [count("plants", "Plants", 1_000_000), number("ageDays", "Age", "days", 1, 700, { whole: true })];
const FIRST = { plants: "40", ageDays: "2 weeks" };

/** Plants that stand there already, entered in one go: so many, so old. */
export function AlreadyGrowing({
  variety,
  input,
  onDone,
}: {
  readonly variety: PlanVariety;
  readonly input: PlanInput;
  readonly onDone: () => void;
}) {
  const units = useUnits();
  const blanks = useBlanks("draft:growing", MEASURES, FIRST, units);
  const { run, busy } = useCommand(addGrowing, { done: `${variety.name} entered` });
  const { plants, ageDays } = blanks.good;
  const found = useMemo(() => {
    const sowDay = input.today - ageDays!;
    const reached = stagesReached(variety.stages, sowDay, plants!, plants!, input.today);
    const ends = stageBoundaries(sowDay, variety.stages);
    return { sowDay, stage: variety.stages[reached.length - 1], ready: ends.at(-1)! };
  }, [variety, input.today, plants, ageDays]);
  const area = input.growingAreas.find(({ id }) => id === found.stage?.growingAreaId);
  return (
    <>
      <Sentence size="line" problems={blanks.problems}>
        <MeasureBlank blanks={blanks} name="plants" /> of {variety.name} stand there already,{" "}
        <MeasureBlank blanks={blanks} name="ageDays" /> old from sowing.
      </Sentence>
      <p>
        Sown {dayInWords(found.sowDay, "year")}; by its days now in “{found.stage?.name}”{area && `, ${area.name}`};{" "}
        {found.ready > input.today ? `ready ${dayInWords(found.ready, "year")}` : "ready now"}.
      </p>
      <Button
        look="strong"
        disabled={busy || blanks.problems.length > 0}
        onClick={async () => {
          const result = await run({ varietyId: variety.id, plants, ageDays });
          if (result.ok) onDone();
        }}
      >
        Enter them
      </Button>
    </>
  );
}
