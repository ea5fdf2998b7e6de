"use client";
import { CAUTIONS } from "@/core/feed/cautions";
import type { Amount, RoundItem } from "@/core/round/types";
import type { ReadingView } from "@/server/round/readingView";
import { buttonClass } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { PageLink } from "@/ui/PageLink";
import { SlipSteps } from "@/ui/SlipSteps";
import { Quantity, useUnits } from "@/ui/units";
import { quantityText } from "@/core/units/format";
import { inHand, schoolWords } from "@/features/feed/words";
import { ReadingForm } from "./ReadingForm";
import { SeedlingsForm } from "./SeedlingsForm";
import { StoreForm } from "./StoreForm";
import { whoMay } from "@/core/people/rights";
import { dilutionWords, useScale } from "@/features/frame/scale";
import type { UnitPreferences } from "@/core/units/dimensions";
import { useMay } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { Clear } from "./Clear";
import { taskDetail, taskFigure, taskTitle } from "./words";
import { PanelFrame } from "./PanelFrame";
import { Settle, Skip } from "./Settle";
import { Slip } from "./Slip";
import { HOW_AMOUNT, HOW_FIGURE } from "./howItems";
import { asksFirst, hasUnitsLeft, rightOf } from "./settling";

interface StoreFacts {
  readonly id: number;
  readonly name: string;
  readonly capacityL: number;
  readonly storedL: number;
}

/** The chosen item: its figure, its amounts in order, its caution, and the buttons to finish it. */
export function ItemPanel({
  item,
  tank,
  store,
}: {
  item: RoundItem;
  tank: ReadingView | null;
  store: StoreFacts | null;
}) {
  const units = useUnits();
  const { stepG } = useScale();
  const { task } = item;
  const title = taskTitle(task);
  const detail = taskDetail(task, units);
  const figure = taskFigure(task);
  const right = rightOf(task.kind);
  const isReading = task.kind === "reading" || task.kind === "read-again";
  const maySettle = useMay(right);
  return (
    <PanelFrame title={isReading && tank ? tank.tankName : title} detail={detail}>
      {isReading && tank && maySettle ? (
        <ReadingForm tank={tank} />
      ) : task.kind === "bring-back" && tank?.slip ? (
        <Slip entryId={task.entryId} tank={tank} />
      ) : task.kind === "count-seedlings" && maySettle ? (
        <SeedlingsForm task={task} />
      ) : task.kind === "store" && store && maySettle ? (
        <StoreForm store={store} />
      ) : (
        <>
          {figure && (
            <p className="sign my-3 text-5xl [&_small]:text-2xl [&_small]:text-soft">
              <Why label={title} how={HOW_FIGURE[task.kind] ?? detail} inputs={[["here", detail]]}>
                <Quantity {...figure} />
              </Why>
            </p>
          )}
          {task.kind === "calibrate" && maySettle && (
            <PageLink href={`/feed/injector?loop=${task.loopId}`} className={`mt-3 ${buttonClass("go")}`}>
              Calibrate it
            </PageLink>
          )}
          {item.amounts.length > 0 && tank?.strength && (
            <p className="text-soft">
              Feed of {quantityText(tank.strength.ecMsPerCm, "ec", units)}: {schoolWords(tank.strength.school)}.
            </p>
          )}
          {item.amounts.length > 0 && (
            <SlipSteps
              steps={item.amounts.map((amount) => ({
                title: amount.name,
                amount: inHand(amount),
                how: HOW_AMOUNT,
                ...noteOf(amount, stepG, units),
              }))}
            />
          )}
        </>
      )}
      <div className="mt-4 space-y-2">
        {item.cautions.map((key) => (
          <CautionNote key={key} {...CAUTIONS[key]} />
        ))}
      </div>
      {maySettle &&
        (asksFirst(item) ? (
          <Skip item={item} />
        ) : task.kind === "wash" && hasUnitsLeft(task) ? (
          <Clear item={item} task={task} />
        ) : (
          <Settle item={item} />
        ))}
      {!maySettle && <p className="mt-4 border-t border-rule pt-3 text-soft">{whoMay(right)} does this.</p>}
    </PanelFrame>
  );
}

/** Out of which bag, and how less is got than the scale can weigh. */
function noteOf(
  { of, value, litres, lots }: Amount,
  stepG: number,
  units: UnitPreferences,
): { readonly note?: string } {
  const notes = [
    ...(lots?.length === 1 ? [`lot ${lots[0]}`] : []),
    ...(of.kind === "salt" && litres === undefined
      ? [dilutionWords(value, stepG, units)].filter((one) => one !== null)
      : []),
  ];
  return notes.length === 0 ? {} : { note: notes.join("; ") };
}
