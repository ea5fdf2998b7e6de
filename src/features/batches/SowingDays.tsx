import { WEEKDAYS } from "@/core/units/day";
import { PageLink } from "@/ui/PageLink";

/** The weekdays on which sowing is done, where they decide over a sow day; nothing where any day will do. */
export function SowingDays({ weekdays }: { readonly weekdays: readonly number[] }) {
  if (weekdays.length === 7) return null;
  const names = weekdays.map((weekday) => `${WEEKDAYS[weekday - 1]}s`);
  const words = names.length > 1 ? `${names.slice(0, -1).join(", ")} and ${names.at(-1)}` : names[0];
  return (
    <p className="text-soft">
      Sown on {words}:{" "}
      <PageLink href="/people/garden" className="font-bold underline underline-offset-4">
        change
      </PageLink>
    </p>
  );
}
