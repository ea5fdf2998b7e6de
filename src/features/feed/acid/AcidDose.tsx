import { acidsWithin, type AcidAnswer } from "@/core/feed/acidForWater";
import type { TankAcid } from "@/core/feed/phDose";
import { concentrationFactor, stockTankG } from "@/core/feed/stocks";
import { LOOP } from "@/core/garden/entities/water";
import type { Loop, StockTankRow } from "@/core/garden/garden";
import type { UnitPreferences } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import { formValues } from "@/features/frame/form/formValues";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { saveLoop } from "@/server/water/actions";
import { Button } from "@/ui/Button";
import { Why } from "@/ui/Why";
import { acidName, roundFeedL } from "../words";

/** Water that takes less has no buffer to dose against. */
const HARDLY_MEQ = 0.05;

interface AcidDoseProps {
  readonly loop: Loop;
  /** What the acid may bring of each nutrient, mg/L; null without a recipe. */
  readonly room: Readonly<Record<"NO3-N" | "P" | "S", number>> | null;
  readonly stocks: readonly StockTankRow[];
  /** Measured in the tank, and for it alone. */
  readonly isTank: boolean;
  readonly answer: AcidAnswer;
  readonly acid: TankAcid;
  readonly massPercent: number;
  readonly wanted: number;
  readonly units: UnitPreferences;
}

/** How much acid, for a round amount, the tank and a stock, and what it does to the water and the recipe. */
export function AcidDose({ answer, acid, massPercent, wanted, loop, room, stocks, units, isTank }: AcidDoseProps) {
  const text = (per1000L: number, litres: number) =>
    acid === "citric"
      ? quantityText((per1000L * litres) / 1000, "mass", units)
      : quantityText((per1000L * litres) / 1e6, "dose", units);
  const roundL = roundFeedL(units);
  const factor = concentrationFactor(loop.ratioR, loop.ratioConvention);
  // Never into the stock with the calcium and the chelates.
  const tank = stocks.find(({ letter }) => letter === "C") ?? stocks.find(({ letter }) => letter === "B");
  const goesRound = loop.kind === "recirculating";
  if (answer.by === "none")
    return <p className="mt-4 text-xl">No acid: this water is there already. Let the salts set the pH.</p>;
  if (answer.meqPerL < HARDLY_MEQ)
    return (
      <p className="mt-4 text-xl">
        No acid: this water has hardly any buffer, a drop too much would throw it far. Let the salts set the pH.
      </p>
    );
  const rows: readonly (readonly [what: string, figure: string, how: string])[] = [
    [
      `for ${quantityText(roundL, "volume", units)}`,
      text(answer.per1000L, roundL),
      "Equivalents from the charge balance of the carbonate ÷ strength of the acid (10 × percent × density × equivalents a mole ÷ molar mass).",
    ],
    [
      `for the tank, ${quantityText(loop.normalFillL, "volume", units)}`,
      text(answer.per1000L, loop.normalFillL),
      "The same × the tank at its normal fill level.",
    ],
    ...(tank && !isTank && loop.feeding !== "dry"
      ? [
          [
            `into a full stock ${tank.letter}, ${quantityText(tank.volumeL, "volume", units)}`,
            text(stockTankG(answer.per1000L, factor, tank.volumeL), 1000),
            "The same × the concentration factor × the stock tank. Acid stands alone or in B, never with calcium and chelates.",
          ] as const,
        ]
      : []),
  ];
  return (
    <div className="mt-4 grid gap-x-10 gap-y-4 lg:grid-cols-2">
      <section aria-label="Dose">
        <h2 className="text-2xl">{acidName(acid, massPercent)}</h2>
        <dl>
          {rows.map(([what, figure, how]) => (
            <div key={what} className="flex items-baseline justify-between gap-4 border-t border-rule py-2">
              <dt>{what}</dt>
              <dd className="figure">
                <Why label={what} how={how} inputs={[["acid", `${formatNumber(answer.meqPerL, 2)} meq/L`]]}>
                  {figure}
                </Why>
              </dd>
            </div>
          ))}
        </dl>
        <p className="mt-2 text-soft">
          In two halves: half, stir, read, then the rest. Acid into water, never the other way.
        </p>
      </section>
      <section aria-label="What it does" className="space-y-2">
        <h2 className="text-2xl">What it does</h2>
        {goesRound ? (
          <p>
            Now pH {formatNumber(wanted, 1)}. In a tank that is aerated CO₂ leaves and pH climbs again: in all it takes{" "}
            <b>{formatNumber(answer.openMeqPerL / answer.meqPerL, 1)} times</b> as much,{" "}
            {text((answer.per1000L * answer.openMeqPerL) / answer.meqPerL, loop.normalFillL)} for the tank, over the
            next days, in parts from readings.
          </p>
        ) : (
          <p>
            {answer.by === "leave"
              ? `It leaves ${formatNumber(answer.leftMeqPerL, 1)} meq/L of alkalinity, which holds pH in the medium; pH ${formatNumber(wanted, 1)} at the emitter would take ${formatNumber((answer.otherMeqPerL ?? 0) / answer.meqPerL, 1)} times as much.`
              : `At the emitter pH ${formatNumber(answer.phNow, 1)}, with ${formatNumber(answer.leftMeqPerL, 1)} meq/L of alkalinity left.`}{" "}
            Standing open it climbs towards pH {formatNumber(answer.phLater, 1)} as CO₂ leaves.
          </p>
        )}
        <Brings {...{ answer, acid, wanted, room }} />
        {acid === loop.acid && !isTank && <CountedInRecipe loop={loop} />}
        {acid === "citric" && <p>Citric acid brings no nutrient; microbes eat it within days, and pH climbs again.</p>}
      </section>
    </div>
  );
}

/** What an acid brings, against what the recipe has room for. */
function Brings({ answer, acid, wanted, room }: Pick<AcidDoseProps, "answer" | "acid" | "wanted" | "room">) {
  const { addsMgPerL, meqPerL } = answer;
  if (!addsMgPerL) return null;
  const { nutrient, mgPerL } = addsMgPerL;
  const free = room?.[nutrient];
  const isOver = free !== undefined && mgPerL > free + 0.5;
  const { shares } = acidsWithin(meqPerL, [acid, "citric"], room ?? {}, wanted);
  const own = shares.find((share) => share.acid === acid)?.meqPerL ?? 0;
  return (
    <p className={isOver ? "border-l-[6px] border-alarm bg-alarm-pale px-3 py-1.5" : ""}>
      It brings <b>{formatNumber(mgPerL, 1)} mg/L</b> of {nutrient}
      {free === undefined
        ? ": take so much off what the salts bring."
        : isOver
          ? `, and the recipe has room for ${formatNumber(Math.max(0, free), 1)}: so much of it at most, ${Math.round((100 * own) / meqPerL)} % of the dose, and citric acid for the rest.`
          : `, of the ${formatNumber(free, 1)} that the recipe wants besides what the water has: take it off the salts.`}
    </p>
  );
}

/** Whether the recipe is solved for what the acid leaves to bring. */
function CountedInRecipe({ loop }: { readonly loop: Loop }) {
  const { run, busy } = useCommand(saveLoop, { done: "Loop saved" });
  const count = (acidInFeed: boolean) => void run({ ...formValues(LOOP, loop), acidInFeed });
  return (
    <div>
      <p>
        {loop.acidInFeed
          ? "It goes into the feed water all the time: the recipe counts what it brings and what is left of the alkalinity. Solve it again after a change."
          : "The recipe does not count it: right where acid is only dosed by readings."}
      </p>
      <Only right="plan">
        <Button className="no-print mt-1 !text-base" disabled={busy} onClick={() => count(!loop.acidInFeed)}>
          {loop.acidInFeed ? "Do not count it" : "It goes into all feed: count it"}
        </Button>
      </Only>
    </div>
  );
}
