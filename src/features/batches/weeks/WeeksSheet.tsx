"use client";
import type { HouseholdCrop } from "@/core/garden/household";
import { alike, type Week, type WeekWork } from "@/core/garden/weeks";
import { dayInWords, isoFromDay, type Day } from "@/core/units/day";
import { formatNumber } from "@/core/units/format";
import { buttonClass } from "@/ui/Button";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";
import { Empty } from "@/ui/Empty";
import { PageLink } from "@/ui/PageLink";
import { PrintButton } from "@/ui/PrintButton";
import { Household } from "./Household";

const COUNTS = [1, 2, 4, 8] as const;
const KINDS = [
  { kind: "sow", words: "Sow" },
  { kind: "thin", words: "Thin" },
  { kind: "move", words: "Move" },
  { kind: "pick", words: "Pick" },
] as const;

/** What is sown, thinned, moved and picked each week of the plan, on one sheet of paper. */
export function WeeksSheet({
  weeks,
  count,
  today,
  household,
}: {
  readonly weeks: readonly Week[];
  readonly count: number;
  readonly today: Day;
  readonly household: readonly HouseholdCrop[];
}) {
  return (
    <>
      <style>{`@page { size: A4 landscape; margin: 8mm; } @media print { #sheet { padding: 0; zoom: 0.55; } }`}</style>
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        {COUNTS.map((one) => (
          <PageLink
            key={one}
            href={`/batches/weeks?weeks=${one}`}
            className={buttonClass(one === count ? "strong" : "plain")}
            aria-current={one === count ? "true" : undefined}
          >
            {one === 1 ? "this week" : `${one} weeks`}
          </PageLink>
        ))}
        <span className="grow" />
        <PrintButton label="Print these weeks" />
      </div>
      {weeks.every(({ work }) => work.length === 0) && (
        <Empty
          title="Nothing is to be done in these weeks"
          example="For instance on Monday 49 cells of Batavia lettuce to sow, on Thursday 44 seedlings to move to the nursery. Plan the season from the orders, or tell under Growth what is eaten at home."
        />
      )}
      <div className="md:overflow-x-auto">
        <table className="w-full text-left align-top max-md:block md:min-w-[60rem]">
          <thead className="max-md:hidden">
            <tr className="border-b-2 border-ink">
              {["Week of", ...KINDS.map(({ words }) => words)].map((head) => (
                <th key={head} scope="col" className="sign py-1 pr-3 text-lg">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="max-md:block">
            {weeks.map((week) => (
              <tr
                key={isoFromDay(week.from)}
                className="break-inside-avoid border-b border-soft align-top max-md:block"
              >
                <th scope="row" className="sign py-2 pr-3 text-xl whitespace-nowrap max-md:block">
                  {dayInWords(week.from)}
                  {week.from <= today && today < week.to && <span className="block text-sm">this week</span>}
                </th>
                {KINDS.map(({ kind, words }) => {
                  const work = alike(week.work.filter((one) => one.kind === kind));
                  return (
                    <td key={kind} className={`py-1.5 pr-3 ${work.length > 0 ? "max-md:block" : "max-md:hidden"}`}>
                      <span className="font-bold md:hidden">{words}</span>
                      <Works work={work} />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Household crops={household} />
    </>
  );
}

function Works({ work }: { readonly work: readonly WeekWork[] }) {
  if (work.length === 0) return <span className="text-soft">–</span>;
  return (
    <ul>
      {work.map((one) => (
        <li key={`${one.day} ${one.variety} ${one.area}`} className="flex items-start gap-2 py-0.5 leading-tight">
          <CropSwatch mark={one.mark} />
          <span>
            <span className="text-soft">{dayInWords(one.day, "weekday").split(" ")[0]}</span>{" "}
            <b className="sign text-lg leading-none">{formatNumber(one.count, 1)}</b>{" "}
            {one.kind === "pick" ? one.unit : one.unit === "plants" ? "" : one.unit} {one.variety}
            {one.kind !== "thin" && (
              <span className="text-soft">
                {one.kind === "pick"
                  ? ` for ${one.area}`
                  : ` to ${[one.area.toLowerCase(), one.lines].filter(Boolean).join(", ")}`}
              </span>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
