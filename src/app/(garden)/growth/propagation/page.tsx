import type { Metadata } from "next";
import { rackAreas, rackEvents, rackViews } from "@/core/garden/rackView";
import { dayFromIso } from "@/core/units/day";
import { RackSheet } from "@/features/growth/racks/RackSheet";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Propagation" };

export default async function PropagationPage({
  searchParams,
}: {
  searchParams: Promise<{ area?: string; day?: string }>;
}) {
  const worked = await season();
  const asked = await searchParams;
  const areas = rackAreas(worked);
  const area = areas.find(({ id }) => String(id) === asked.area) ?? areas[0] ?? null;
  const day = dayWithin(asked.day, worked.who.today, worked.plan.from, worked.plan.to - 1);
  return (
    <Station title="Propagation" facts="what stands in each tray, and what is due" tabs={growthTabs("propagation")}>
      <RackSheet
        areas={areas}
        areaId={area?.id ?? null}
        day={day}
        today={worked.who.today}
        racks={area ? rackViews(worked, area.id, day) : []}
        events={area ? rackEvents(worked, area.id, day) : []}
      />
    </Station>
  );
}

/** A day of the address, held within the plan; today where it is none. */
function dayWithin(iso: string | undefined, today: number, from: number, to: number): number {
  if (iso === undefined || !/^\d{4}-\d{2}-\d{2}$/u.test(iso)) return today;
  try {
    return Math.min(to, Math.max(from, dayFromIso(iso)));
  } catch {
    return today;
  }
}
