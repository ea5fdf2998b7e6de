"use client";
import { MG_CACO3_PER_MEQ } from "@/core/feed/nutrients";
import type { LoopFeed } from "@/core/garden/fed";
import type { RecipeProposal, SaltsFrom, SolvedBy } from "@/core/garden/recipeProposal";
import { percentText, quantityText } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { takeAmounts } from "@/server/feed/takeAmounts";
import { Button } from "@/ui/Button";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { Empty } from "@/ui/Empty";
import { PageLink, usePageRouter } from "@/ui/PageLink";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { NutrientBars } from "../NutrientBars";
import { SolutionFacts } from "./SolutionFacts";
import { SolvedSalts } from "./SolvedSalts";
import { limitWords, notHeldWords } from "./solveWords";

export interface SolveSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loopId: number | null;
  readonly feed: LoopFeed | null;
  readonly from: SaltsFrom;
  readonly by: SolvedBy;
  readonly waterName: string;
  readonly proposal: RecipeProposal | null;
  /** Other loops that are fed the same recipe. */
  readonly alsoFor: readonly string[];
}

const FROM = [
  { value: "recipe", label: "the salts of the recipe" },
  { value: "shelf", label: "all salts that are left on the shelf" },
] as const;

const BY = [
  { value: "worst", label: "the worst miss is made small first" },
  { value: "sum", label: "all misses together are made small" },
] as const;
const BY_COSTS: Readonly<Record<SolvedBy, string>> = {
  worst: "The nutrient that is furthest off is as near as it can be; others may be off with it.",
  sum: "As many nutrients as can be are met; one that cannot be may be far off.",
};

/** A recipe solved again from the salts there are, beside what is accepted now; it is taken over or left. */
export function SolveSheet({ loops, loopId, feed, from, by, waterName, proposal, alsoFor }: SolveSheetProps) {
  const units = useUnits();
  const router = usePageRouter();
  const take = useCommand(takeAmounts, { done: "Amounts taken over" });
  const go = (salts: SaltsFrom, first: SolvedBy) =>
    router.push(addressOf(salts, first, { loop: String(loopId) }), { scroll: false });
  const { sheet } = feed ?? {};
  return (
    <>
      <Picker href={addressOf(from, by)} query="loop" rows={loops} chosen={loopId} />
      {!feed || !sheet || !proposal ? (
        <Empty
          title={feed ? "Nothing to solve" : "Nothing to solve yet"}
          example={
            feed
              ? "This loop is fed by the label of what was bought: it has no targets, and the label’s ratio is kept."
              : "A recipe for this loop, chosen under Water, is solved here from the salts on the shelf, with what the water brings counted in."
          }
        >
          <PageLink href="/feed" className="underline">
            To the recipes
          </PageLink>
        </Empty>
      ) : (
        <>
          <Sentence size="line">
            {feed.recipe.name} at EC {quantityText(feed.recipe.ecMsPerCm, "ec", units)}, made with{" "}
            {waterName.toLowerCase()}, from{" "}
            <ChoiceBlank name="from" label="Made from" value={from} options={FROM} onValue={(next) => go(next, by)} />;{" "}
            <ChoiceBlank
              name="by"
              label="Made small first"
              value={by}
              options={BY}
              onValue={(next) => go(from, next)}
            />
            .
          </Sentence>
          <p className="mt-1 text-sm text-soft">{BY_COSTS[by]}</p>
          {typeof proposal.found === "string" ? (
            <p role="alert" className="mt-4 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
              {proposal.found === "water-too-strong"
                ? `${waterName} alone has EC ${quantityText(sheet.waterEcMsPerCm, "ec", units)}: this feed cannot be made with it. Choose a weaker water for the loop.`
                : "These salts do not come to the EC wanted: look at the recipe’s targets and its salts."}
            </p>
          ) : (
            <div className="mt-4 grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_400px]">
              <section aria-label="What it comes to">
                <NutrientBars
                  result={proposal.found.solved}
                  salts={proposal.salts}
                  waterName={waterName}
                  strength={proposal.found.strength}
                  {...(sheet.strength !== null && { now: sheet.result })}
                />
                <Reasons proposal={proposal} waterName={waterName} />
              </section>
              <section aria-label="Salts">
                <SolvedSalts proposal={proposal} strength={proposal.found.strength} nowStrength={sheet.strength ?? 0} />
                <Only right="plan">
                  <Button
                    look="strong"
                    className="mt-3"
                    disabled={take.busy || isSame(proposal)}
                    onClick={() => void take.run({ recipeId: feed.recipe.id, salts: takenOf(proposal) })}
                  >
                    Take these amounts
                  </Button>
                </Only>
                <p className="mt-2 text-sm text-soft">
                  {isSame(proposal) && "These are the amounts that are in use. "}
                  {alsoFor.length > 0 &&
                    `The same recipe feeds ${alsoFor.join(", ")}: there, too, these amounts would hold. For another water make a recipe of its own.`}
                </p>
                <SolutionFacts
                  result={proposal.found.solved}
                  alkalinityMgCaco3PerL={(sheet.waterIons.HCO3 ?? 0) * MG_CACO3_PER_MEQ}
                />
              </section>
            </div>
          )}
        </>
      )}
    </>
  );
}

/** Where the sheet is, by what is asked of it. */
function addressOf(salts: SaltsFrom, by: SolvedBy, more: Readonly<Record<string, string>> = {}): string {
  const query = new URLSearchParams({ ...(salts === "shelf" && { salts }), ...(by === "sum" && { by }), ...more });
  return query.size > 0 ? `/feed/solve?${query}` : "/feed/solve";
}

/** Amounts that differ by less, of themselves, are the same. */
const SAME = 2e-3;

function takenOf({ salts, found }: RecipeProposal) {
  if (typeof found === "string") return [];
  return salts.flatMap(({ id, stock, gPer1000L: now }, at) => {
    const gPer1000L = found.writtenGPer1000L[at]!;
    return now === null && gPer1000L === 0 ? [] : [{ saltId: id, stock, gPer1000L }];
  });
}

function isSame(proposal: RecipeProposal): boolean {
  const now = new Map(proposal.salts.map(({ id, gPer1000L }) => [id, gPer1000L]));
  return takenOf(proposal).every(
    ({ saltId, gPer1000L }) => Math.abs(gPer1000L - (now.get(saltId) ?? 0)) <= SAME * Math.max(1e-3, gPer1000L),
  );
}

function Reasons({ proposal, waterName }: { readonly proposal: RecipeProposal; readonly waterName: string }) {
  const { found, limits, missing, salts } = proposal;
  if (typeof found === "string") return null;
  const worst = Math.abs(found.solved.worst?.miss ?? 0);
  return (
    <>
      {found.solved.notHeld.map((limit) => (
        <p key={`${limit.kind} ${limit.aim}`} role="alert" className="mt-3 font-bold text-alarm">
          {notHeldWords(limit)}
        </p>
      ))}
      {limits.length > 0 && (
        <>
          <h2 className="mt-5 text-2xl">What limits it</h2>
          <ul className="mt-1 list-disc pl-5">
            {limits.map((limit) => (
              <li key={limit.aim}>{limitWords(limit, salts, waterName)}</li>
            ))}
          </ul>
        </>
      )}
      {missing.length > 0 && (
        <>
          <h2 className="mt-5 text-2xl">What is missing on the shelf</h2>
          <ul className="mt-1 list-disc pl-5">
            {missing.map(({ name, worstMiss }) => (
              <li key={name}>
                With <b>{name}</b> the worst miss would be {percentText(worstMiss)}, not {percentText(worst)}.
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
