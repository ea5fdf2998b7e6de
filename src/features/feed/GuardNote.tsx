import type { FeedGuard } from "@/core/feed/feedGuard";
import type { Precipitate } from "@/core/feed/saturation";
import { formatNumber } from "@/core/units/format";

const DROPS: Readonly<Record<Precipitate, string>> = {
  "calcium-phosphate": "calcium phosphate",
  gypsum: "gypsum",
};

/** Whether the ready feed stays clear over its pH band, and keeps its iron. */
export function GuardNote({ guard, phHigh }: { readonly guard: FeedGuard; readonly phHigh: number }) {
  const warnings = guardWarnings(guard, phHigh);
  return (
    <section aria-label="Stays clear" className="mt-4 max-w-3xl">
      <h2 className="text-2xl">Does it stay clear?</h2>
      {warnings.map((words) => (
        <p key={words} role="alert" className="mt-1 border-l-[6px] border-feed bg-feed-pale px-3 py-1.5">
          {words}
        </p>
      ))}
      <p className="mt-1">
        {guard.clearToPh >= 9
          ? "No calcium phosphate drops out of it at any pH of a feed."
          : `Over about pH ${formatNumber(guard.clearToPh, 1)} calcium phosphate drops out of it.`}{" "}
        {guard.oneTank.times >= 1 &&
          (guard.oneTank.first === null
            ? "In one tank it stays clear at ten times this strength."
            : `Mixed in one tank it stays clear up to ${formatNumber(Math.floor(guard.oneTank.times * 10) / 10, 1)} times this strength; then ${DROPS[guard.oneTank.first]} drops out.`)}
      </p>
    </section>
  );
}

/** What is to be looked at, within the pH band. */
export function guardWarnings(guard: FeedGuard, phHigh: number): string[] {
  const lost = guard.chelates.filter(({ holdsToPh }) => holdsToPh !== null && holdsToPh < phHigh);
  return [
    ...(guard.clearToPh < phHigh
      ? [
          `The pH band goes up to ${formatNumber(phHigh, 1)}, but over ${formatNumber(guard.clearToPh, 1)} calcium phosphate drops out: it clogs emitters, and phosphorus is missing. Keep pH under it, or run the feed weaker.`,
        ]
      : []),
    ...(guard.gypsumDrops ? ["Gypsum drops out of it: less calcium or sulfate, or a weaker feed."] : []),
    ...lost.map(
      ({ name, holdsToPh }) =>
        `${name} holds its iron up to pH ${formatNumber(holdsToPh!, 1)} only, and the band goes up to ${formatNumber(phHigh, 1)}: young leaves turn yellow. DTPA holds to 7.5, EDDHA over 9.`,
    ),
    ...guard.chelates
      .filter(({ holdsToPh }) => holdsToPh === null)
      .map(
        ({ name }) => `The name of ${name} does not tell its agent (EDTA, DTPA, EDDHA): look up to which pH it holds.`,
      ),
  ];
}
