import type { SolveAgain } from "@/core/garden/recipeProposal";
import { percentText } from "@/core/units/format";
import { PageLink } from "@/ui/PageLink";

function words(again: SolveAgain): string {
  switch (again.kind) {
    case "never-solved":
      return "No amounts are known for this recipe yet.";
    case "used-up":
      return `The shelf changed: ${again.salts.join(", ")} is used up.`;
    case "nearer":
      return again.couldBe < again.worstMiss
        ? `Its water or salts changed: the worst miss could be ${percentText(again.couldBe)}, not ${percentText(again.worstMiss)}.`
        : "Its water or salts changed: other amounts would come nearer to its targets.";
  }
}

/** Says that a recipe could be solved again; nothing changes by itself. */
export function SolveAgainNote({
  loopId,
  again,
}: {
  readonly loopId: number | null;
  readonly again: SolveAgain | null;
}) {
  if (!again) return null;
  return (
    <p className="mb-3 border-l-[6px] border-feed bg-feed-pale px-3 py-2">
      {words(again)}{" "}
      <PageLink
        href={`/feed/solve?loop=${loopId}${again.kind === "used-up" ? "&salts=shelf" : ""}`}
        className="font-bold underline"
      >
        {again.kind === "never-solved" ? "Solve it" : "Solve again?"}
      </PageLink>
    </p>
  );
}
