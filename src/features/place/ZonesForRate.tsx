"use client";
import { channelBankOf } from "@/core/place/kinds";
import { useState } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { gradedLine, zonesForRate } from "@/core/place/gradedLine";
import type { ChannelBank, StandSpec } from "@/core/place/stand";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { Why } from "@/ui/Why";
import { inMm } from "@/core/units/rounded";

/** Sites that each zone of a graded line needs for so many plants a week, beside those it has; lengths to match on request. */
export function ZonesForRate() {
  const { control, setValue } = useFormContext();
  const bank = channelBankOf(useWatch({ control, name: "spec" }) as StandSpec);
  const [rate, setRate] = useState<QuantityValue>(null);
  if (!Array.isArray(bank?.zones) || bank.zones.length === 0) return null;
  const found = typeof rate === "number" && rate >= 0 && rate <= 100_000 ? wantedAndThere(bank, rate) : null;
  return (
    <div className="mb-3 border-t border-rule pt-2">
      <div className="max-w-60">
        <Field label="Plants a week to the head of the lines">
          {(aria) => <QuantityInput {...aria} dimension="count" value={rate} onValue={setRate} />}
        </Field>
      </div>
      {found && (
        <>
          <ul className="mt-2">
            {found.map(({ wanted, there }, zone) => (
              <li key={zone}>
                Zone {zone + 1} needs{" "}
                <Why
                  label={`Sites of zone ${zone + 1}`}
                  how="Plants there = plants that come a week × the weeks they stay."
                  inputs={[["weeks", String(bank.zones[zone]!.weeks)]]}
                >
                  <b>{wanted}</b>
                </Why>{" "}
                sites and has <b className={there < wanted ? "text-alarm" : "text-leaf"}>{there}</b>
              </li>
            ))}
          </ul>
          <Button
            look="quiet"
            onClick={() => {
              for (const [zone, { lengthM }] of found.entries())
                setValue(`spec.zones.${zone}.lengthM`, lengthM, { shouldDirty: true });
              setValue("spec.lineLengthM", inMm(found.reduce((sum, { lengthM }) => sum + lengthM, 0)), {
                shouldDirty: true,
              });
            }}
          >
            Set the zones to these lengths
          </Button>
        </>
      )}
    </div>
  );
}

/** Zone by zone over all lines, and the length that holds what is wanted: one pitch for each site of a line. */
function wantedAndThere(spec: ChannelBank, rate: number) {
  try {
    const wanted = zonesForRate(
      rate,
      spec.zones.map(({ weeks }) => weeks),
    );
    const { sitesByZone } = gradedLine(spec.lineLengthM, spec.endMarginM, spec.zones);
    return wanted.map((sites, zone) => {
      const ends = (zone === 0 ? spec.endMarginM : 0) + (zone === wanted.length - 1 ? spec.endMarginM : 0);
      const lengthM = Math.ceil(sites / spec.lines) * spec.zones[zone]!.pitchM + ends;
      return { wanted: sites, there: spec.lines * sitesByZone[zone]!, lengthM: Math.max(0.05, inMm(lengthM)) };
    });
  } catch {
    // Half-typed measures; the fields say so themselves.
    return null;
  }
}
