import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";

interface Plan {
  readonly isRamped: boolean;
  readonly startShare: QuantityValue;
  readonly maturityDays: QuantityValue;
  readonly isChanged: boolean;
  readonly weeks: QuantityValue;
}

/** How a loop is fed by a label over time: weaker for seedlings, and changed every so many weeks. */
export function LabelPlan({
  plan,
  goesRound,
  errors,
  onPlan,
}: {
  readonly plan: Plan;
  readonly goesRound: boolean;
  readonly errors: Readonly<Record<string, string | undefined>>;
  readonly onPlan: (part: Partial<Plan>) => void;
}) {
  return (
    <div className="space-y-2 border-l-[6px] border-rule pl-3">
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={plan.isRamped}
          onChange={({ target }) => onPlan({ isRamped: target.checked })}
        />
        Weaker for seedlings, stronger with age
      </label>
      {plan.isRamped && (
        <div className="grid grid-cols-2 gap-x-4 gap-y-3">
          <Field label="Seedlings, of the label" error={errors["ramp.startShare"]}>
            {(aria) => (
              <QuantityInput
                {...aria}
                dimension="share"
                value={plan.startShare}
                onValue={(startShare) => onPlan({ startShare })}
              />
            )}
          </Field>
          <Field label="Grown after" hint="days from sowing" error={errors["ramp.maturityDays"]}>
            {(aria) => (
              <QuantityInput
                {...aria}
                dimension="days"
                value={plan.maturityDays}
                onValue={(maturityDays) => onPlan({ maturityDays })}
              />
            )}
          </Field>
        </div>
      )}
      {goesRound && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            checked={plan.isChanged}
            onChange={({ target }) => onPlan({ isChanged: target.checked })}
          />
          The solution is changed every so many weeks
        </label>
      )}
      {goesRound && plan.isChanged && (
        <Field label="Weeks" hint="1: every week; it drives the round" error={errors.changeWeeks}>
          {(aria) => (
            <QuantityInput {...aria} dimension="count" value={plan.weeks} onValue={(weeks) => onPlan({ weeks })} />
          )}
        </Field>
      )}
    </div>
  );
}
