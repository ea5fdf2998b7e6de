"use client";
import { useMemo } from "react";
import { CROP_LIBRARY } from "@/core/growth/library/crops";
import { libraryLengths } from "@/core/growth/library/crop";
import { stageBoundaries } from "@/core/growth/stageDays";
import { librarySowing } from "@/core/growth/library/sowing";
import { isSownInTrays } from "@/core/growth/cropKind";
import { count } from "@/core/place/kinds/shared";
import { dayInWords, type Day } from "@/core/units/day";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { keepSowing } from "@/server/batches/keep";
import { ChoiceBlank, DayBlank } from "@/ui/blank/Blank";
import { AnswerFrame } from "./AnswerFrame";
import { answerKey, type AnswerContext } from "./context";
import { Keep } from "./Keep";
import { StageStrip } from "./StageStrip";
import { useKept } from "./useKept";

const PLANTS = [count("plants", "Plants", 1_000_000)];
const FIRST = { plants: "20" };
const CROPS = CROP_LIBRARY.map(({ name }) => ({ value: name, label: name.toLowerCase() }));
/** Far enough ahead for most crops to be sown today. */
const DAYS_AHEAD = 70;

/** When to sow, and how many, for a day. */
export function SowAnswer({ context }: { readonly context: AnswerContext }) {
  const [cropName, setCrop] = useKept<string>("sow crop", CROP_LIBRARY[0]!.name);
  const [day, setDay] = useKept<Day | null>("sow day", context.today + DAYS_AHEAD);
  const crop = CROP_LIBRARY.find(({ name }) => name === cropName) ?? CROP_LIBRARY[0]!;
  const blanks = useBlanks(answerKey("sow"), PLANTS, FIRST, context.units);
  const wanted = day ?? context.today + DAYS_AHEAD;
  const found = useMemo(
    () => librarySowing(crop, wanted, blanks.good.plants!, context.latitudeDeg),
    [crop, wanted, blanks.good.plants, context.latitudeDeg],
  );
  const onTrays = isSownInTrays(crop.kind);
  const { cells, seeds, expectedCells } = found.sowing;
  const isPast = found.sowDay < context.today;
  const problems = [
    ...blanks.problems,
    ...(day === null ? [{ name: "day", words: "The day wanted is missing." }] : []),
  ];
  const seedG = crop.tray ? cells * crop.tray.seedGPerTray : seeds / crop.seedsPerG;
  return (
    <AnswerFrame
      problems={problems}
      units={context.units}
      sentence={
        <>
          I want <MeasureBlank blanks={blanks} name="plants" /> {onTrays ? "trays of" : "plants of"}{" "}
          <ChoiceBlank name="crop" label="Crop" value={crop.name} options={CROPS} onValue={setCrop} /> ready on{" "}
          <DayBlank name="day" label="Day wanted" value={day} onValue={setDay} />.
        </>
      }
      figure={dayInWords(found.sowDay)}
      unit="sow"
      about={
        <>
          {isPast && (
            <strong className="text-alarm">
              That is {counted(context.today - found.sowDay, "day")} ago: sown today it is ready{" "}
              {dayInWords(readyFromToday(crop, context))}.{" "}
            </strong>
          )}
          {found.daysEarly > 0
            ? `Ready ${counted(found.daysEarly, "day")} early; a day later sown is late.`
            : "Ready on the day."}
        </>
      }
      rows={[
        { what: onTrays ? "trays to sow" : "cells to sow", figure: formatNumber(cells) },
        {
          what: onTrays ? "seed" : `seeds, ${counted(crop.seedsPerCell, "seed")} a cell`,
          figure: onTrays ? quantityText(seedG, "mass", context.units) : formatNumber(seeds),
        },
        { what: "days from sowing", figure: formatNumber(found.readyDay - found.sowDay) },
        { what: "at an even chance only", figure: formatNumber(expectedCells) },
      ]}
      how={[
        `Days of the library for ${crop.name.toLowerCase()} at ${Math.abs(Math.round(context.latitudeDeg))}° ${context.latitudeDeg < 0 ? "south" : "north"}${context.latitudeIsKnown ? "" : " (a guess: a garden of your own knows where it lies)"}: common practice, ${daysBand(crop)} days.`,
        `${Math.round(crop.comesUp[0] * 100)} to ${Math.round(crop.comesUp[1] * 100)} in 100 seeds come up; ${Math.round(crop.germination * 100)} are taken. What is lost later is counted on.`,
        "So many are sown that 9 of 10 sowings give what is wanted (binomial). One bad lot of seed is not covered.",
      ]}
      caution={
        crop.foodSafetySensitive
          ? "Eaten raw: seed sold for sprouting, clean trays and hands, kept cold, and your local food rules."
          : undefined
      }
      picture={<StageStrip crop={crop} found={found} />}
      keep={
        <Keep
          garden={context.garden}
          isGood={problems.length === 0}
          action={keepSowing}
          input={() => ({
            crop: { library: crop.name },
            sowDay: found.sowDay,
            cells,
            targetPlants: blanks.good.plants!,
          })}
          goTo={() => "/batches"}
          makes="Makes a batch, and the crop where it is not there yet."
        />
      }
    />
  );
}

function readyFromToday(crop: (typeof CROP_LIBRARY)[number], { today, latitudeDeg }: AnswerContext): Day {
  return stageBoundaries(today, libraryLengths(crop, latitudeDeg)).at(-1)!;
}

const daysBand = ({ stages }: (typeof CROP_LIBRARY)[number]) => {
  const sum = (end: 0 | 1) => stages.reduce((total, { days }) => total + days[end], 0);
  return `${sum(0)} to ${sum(1)}`;
};
