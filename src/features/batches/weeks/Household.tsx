import type { HouseholdCrop } from "@/core/garden/household";
import { dayInWords } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";

/** What is eaten at home: whether there is enough of it each week, too much of it, or all of it at once. */
export function Household({ crops }: { readonly crops: readonly HouseholdCrop[] }) {
  if (crops.length === 0) return null;
  return (
    <section aria-label="Eaten at home" className="mt-5 break-inside-avoid">
      <h2 className="text-2xl">Eaten at home</h2>
      <ul className="mt-1">
        {crops.map((crop) => (
          <li key={crop.varietyId} className="border-t border-rule py-2">
            <p className="flex flex-wrap items-center gap-x-3">
              <CropSwatch mark={crop.mark} />
              <b className="sign text-xl">{crop.name}</b>
              <span>
                {formatNumber(crop.perWeek, 1)} {crop.unit} a week
              </span>
              {crop.steady && (
                <span className="text-soft">
                  sown steadily: {counted(crop.steady.cells, "cell")} every{" "}
                  {crop.steady.everyDays === 7 ? "week" : counted(crop.steady.everyDays, "day")} for{" "}
                  {counted(crop.steady.plants, "plant")}
                </span>
              )}
            </p>
            <Supply crop={crop} />
          </li>
        ))}
      </ul>
    </section>
  );
}

const DUST = 1e-6;

function Supply({ crop: { weeks, perWeek, unit, glut, atOnce, steady } }: { readonly crop: HouseholdCrop }) {
  const gaps = weeks.filter(({ given }) => given < perWeek - DUST);
  return (
    <ul className="mt-1 space-y-0.5">
      <li className={gaps.length > 0 ? "font-bold text-alarm" : "text-leaf"}>
        {gaps.length === 0
          ? `Enough in each of the ${counted(weeks.length, "week")}.`
          : `A gap: ${gaps
              .map(({ day, given }) => `${dayInWords(day)} ${formatNumber(perWeek - given, 1)} ${unit}`)
              .join(", ")} missing.`}
      </li>
      {glut > DUST && (
        <li className="text-feed">
          A glut: {formatNumber(glut, 1)} {unit} ripen in these weeks and nobody takes them.
        </li>
      )}
      {atOnce && (
        <li className="border-l-[6px] border-feed bg-feed-pale px-3 py-1">
          All that is planned is sown at once: {formatNumber(atOnce.units, 1)} {unit} are ready together from{" "}
          {dayInWords(atOnce.day)}. {steady && `Sow ${counted(steady.cells, "cell")} a week instead.`}
        </li>
      )}
    </ul>
  );
}
