"use client";
import type { WeatherAlert } from "@/core/garden/houseCrops";
import { weatherAlertWords } from "@/features/growth/words";
import { PageLink } from "@/ui/PageLink";
import { useUnits } from "@/ui/units";

/** Frost, chill and heat of the coming week, before the walk. */
export function WeatherAlerts({ alerts }: { readonly alerts: readonly WeatherAlert[] }) {
  const units = useUnits();
  if (alerts.length === 0) return null;
  return (
    <ul aria-label="Weather of the coming week" className="mb-4 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
      {alerts.map((alert) => (
        <li key={`${alert.house} ${alert.kind}`}>
          {weatherAlertWords(alert, units)}{" "}
          <PageLink href="/growth/climate" className="underline">
            look
          </PageLink>
        </li>
      ))}
    </ul>
  );
}
