"use client";
import type { SeasonReasons, ShortOrder } from "@/core/garden/season/reasons";
import type { Remedy, Tried } from "@/core/garden/season/remedy";
import { dayInWords } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { limitWords, remedyWords, whyWords, worthWords } from "./reasonWords";

const HOW =
  "The limit is changed and the best there can be is worked out again; the difference is shown. Plants may be shared in it, so it is an estimate. Planned with it, the season is solved and placed anew.";

interface TryProps {
  /** Plans the season with a remedy; null while something is at work. */
  readonly onTry: ((remedy: Remedy) => void) | null;
}

/** Why orders are not met in full, and what would help. */
export function SeasonReasonsList({ reasons, onTry }: { readonly reasons: SeasonReasons } & TryProps) {
  const { short, moreShort, easing } = reasons;
  if (short.length === 0) return <p className="mt-2 text-leaf">Every order of these days is met in full.</p>;
  return (
    <>
      {easing.length > 0 && (
        <section aria-label="Most worth easing" className="mt-4">
          <h2 className="text-xl">What would be most worth having more of</h2>
          <ol className="mt-1 max-w-4xl list-decimal pl-6">
            {easing.map((tried) => (
              <li key={JSON.stringify(tried.remedy)} className="py-1">
                <RemedyLine tried={tried} onTry={onTry} />
              </li>
            ))}
          </ol>
        </section>
      )}
      <section aria-label="Orders that go short" className="mt-4">
        <h2 className="text-xl">Orders that go short in it</h2>
        <ul className="max-w-4xl">
          {short.map((order) => (
            <Short key={`${order.orderIds.join()} ${order.variety}`} order={order} onTry={onTry} />
          ))}
        </ul>
        {moreShort > 0 && <p className="text-soft">and {counted(moreShort, "more order")}</p>}
      </section>
    </>
  );
}

const DAYS_NAMED = 4;

function Short({ order, onTry }: { readonly order: ShortOrder } & TryProps) {
  const units = useUnits();
  const { customers, variety, unit, days, missing, wanted, why, remedies } = order;
  const named = days.slice(0, DAYS_NAMED).map((day) => dayInWords(day, "weekday"));
  return (
    <li className="border-t border-rule py-2">
      <p>
        <b className="sign text-lg">
          {customers.length > 0 ? customers.join(" and ") : "At home"}, {variety}:
        </b>{" "}
        <span className="font-bold text-alarm">
          {formatNumber(missing, 1)} of {formatNumber(wanted, 1)} {unit} missing
        </span>{" "}
        on {named.join(", ")}
        {days.length > DAYS_NAMED && ` and ${counted(days.length - DAYS_NAMED, "more day")}`}.
      </p>
      <p>{whyWords(order)}</p>
      {why.kind === "limits" && (
        <ul className="list-disc pl-6">
          {why.limits.map((limit) => (
            <li key={`${limit.kind} ${limit.from} ${"name" in limit ? limit.name : ""}`}>{limitWords(limit, units)}</li>
          ))}
        </ul>
      )}
      {remedies.map((tried) => (
        <RemedyLine key={JSON.stringify(tried.remedy)} tried={tried} unit={unit} onTry={onTry} />
      ))}
    </li>
  );
}

function RemedyLine({ tried, unit, onTry }: { readonly tried: Tried; readonly unit?: string } & TryProps) {
  const units = useUnits();
  const words = remedyWords(tried.remedy, units, unit);
  return (
    <p className="flex items-center gap-x-3 py-0.5 max-md:flex-wrap">
      <span>
        {words}:{" "}
        <Why label={words} how={HOW}>
          {worthWords(tried, units)}
        </Why>{" "}
        <span className="text-soft">(estimate)</span>
      </span>
      <Only right="plan">
        <Button className="shrink-0" disabled={onTry === null} onClick={() => onTry?.(tried.remedy)}>
          Plan it with this
        </Button>
      </Only>
    </p>
  );
}
