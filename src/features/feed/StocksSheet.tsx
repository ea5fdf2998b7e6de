"use client";
import { inHand, solubilityWords, stockConflictWords } from "./words";
import { dilutionWords, ScaleChoice, useScale } from "@/features/frame/scale";
import { liquidL } from "@/core/feed/salts";
import { CAUTIONS } from "@/core/feed/cautions";
import type { StockSheet } from "@/core/feed/feedSheet";
import { dayInWords, type Day } from "@/core/units/day";
import { quantityText } from "@/core/units/format";
import type { LoopFeed } from "@/core/garden/fed";
import type { StockTankRow } from "@/core/garden/garden";
import type { Loop } from "@/core/garden/garden";
import { CautionNote } from "@/ui/Caution";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { PrintButton } from "@/ui/PrintButton";
import { SlipSteps } from "@/ui/SlipSteps";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { HandMix } from "./HandMix";
import { MixingRecord, type Mixed } from "./MixingRecord";
import { StockSplitNote } from "./StockSplitNote";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { later } from "@/ui/later";

const StockTankForm = later(() => import("./StockTankForm").then((part) => part.StockTankForm));

export interface StocksSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: Loop | null;
  readonly feed: LoopFeed | null;
  readonly stockReadings: readonly StockTankRow[];
  /** Newest first. */
  readonly mixes: readonly Mixed[];
  readonly today: Day;
}

/** Stocks as they are weighed and how long they last; or the salts of a hand-mixed tank. */
export function StocksSheet({ loops, loop, feed, stockReadings, mixes, today }: StocksSheetProps) {
  const [editing, setEditing] = useOpened<string>("stocks");
  const { stepG, setStepG } = useScale();
  const tank = stockReadings.find(({ letter }) => letter === editing);
  return (
    <>
      <Picker href="/feed/stocks" query="loop" rows={loops} chosen={loop?.id ?? null} />
      {!loop || !feed ? (
        <Empty
          title="No recipe for this loop yet"
          example="Under Recipe: enter one; under Water, choose it for the loop. The kilograms for each stock tank are then shown here."
        />
      ) : (
        <>
          {loop.feeding !== "dry" && <StockSplitNote loop={loop} feed={feed} />}
          {loop.feeding !== "dry" && <ScaleChoice stepG={stepG} onStep={setStepG} />}
          {loop.feeding !== "dry" && (
            <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
              {feed.sheet.stocks.map((stock) => (
                <Stock
                  key={stock.tank.letter}
                  stock={stock}
                  salts={feed.salts}
                  stepG={stepG}
                  loop={loop}
                  mixes={mixes.filter(({ letter }) => letter === stock.tank.letter)}
                  onChange={() => setEditing(stock.tank.letter)}
                  readOn={stockReadings.find((tank) => tank.letter === stock.tank.letter)?.readOn ?? null}
                />
              ))}
            </div>
          )}
          {loop.feeding !== "injector" && <HandMix loop={loop} feed={feed} />}
          <div className="mt-6 max-w-2xl space-y-2">
            <CautionNote {...(feed.recipe.byLabel ? CAUTIONS.parts : CAUTIONS.salts)} />
            {feed.salts.some(({ alone }) => alone) && <CautionNote {...CAUTIONS.base} />}
            <CautionNote {...CAUTIONS.lifting} />
          </div>
          <PrintButton label="Print" />
        </>
      )}
      <Drawer open={tank !== undefined} onClose={() => setEditing(null)} title={`Stock tank ${editing ?? ""}`}>
        {tank && <StockTankForm tank={tank} today={today} onDone={() => setEditing(null)} />}
      </Drawer>
    </>
  );
}

function Stock({
  stock,
  loop,
  mixes,
  readOn,
  onChange,
  salts,
  stepG,
}: {
  stock: StockSheet;
  salts: LoopFeed["salts"];
  /** Of the scale. */
  stepG: number;
  loop: Loop;
  mixes: readonly Mixed[];
  readOn: Day | null;
  onChange: () => void;
}) {
  const units = useUnits();
  const { tank, daysLeft, solubility, conflict } = stock;
  const draws = Number.isFinite(daysLeft.exact);
  return (
    <section aria-label={`Stock ${tank.letter}`} className="break-inside-avoid">
      <div className="flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h2 className="text-3xl">Stock {tank.letter}</h2>
        <p className="figure">
          <Why
            label={`Days left in stock ${tank.letter}`}
            how="Litres left divided by litres of stock a day; stock a day is feed a day divided by the concentration factor."
            inputs={[
              ["left", quantityText(tank.leftL, "volume", units)],
              ["stock a day", quantityText(stock.litresPerDay, "volume", units)],
              ["read on", readOn === null ? "–" : dayInWords(readOn)],
            ]}
          >
            {draws ? daysLeft.whole : "–"}
          </Why>{" "}
          <small>{draws ? "days left" : "nothing draws on it"}</small>
        </p>
      </div>
      <p className="mt-1 text-soft">
        {quantityText(tank.leftL, "volume", units)} of {quantityText(tank.volumeL, "volume", units)} left,{" "}
        {quantityText(stock.litresPerDay, "volume", units)} a day at 1:{loop.ratioR}{" "}
        <Only right="dose">
          <button type="button" className="no-print min-h-8 underline" onClick={onChange}>
            change
          </button>
        </Only>
      </p>
      {conflict && (
        <p role="alert" className="mt-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          {stockConflictWords(conflict)}
        </p>
      )}
      <p
        className={`mt-2 border-l-[6px] px-3 py-1.5 text-sm ${solubility.verdict === "clear" ? "border-leaf bg-leaf-pale" : solubility.verdict === "close" ? "border-feed bg-feed-pale" : "border-alarm bg-alarm-pale font-bold"}`}
      >
        {solubilityWords(solubility, units)}
      </p>
      <MixingRecord mixes={mixes} />
      <SlipSteps
        steps={[
          { title: "Warm water first", amount: { value: tank.volumeL * 0.7, dimension: "volume" } },
          ...stock.salts.map(({ id, name, tankG }) => {
            const onShelf = salts.find((salt) => salt.id === id);
            const litres = onShelf ? liquidL(onShelf, tankG) : null;
            const note = litres === null ? dilutionWords(tankG, stepG, units, onShelf?.solubilityGPerL) : null;
            return {
              title: name,
              amount: inHand({ value: tankG, dimension: "mass", ...(litres !== null && { litres }) }),
              how: "Grams for 1000 L of feed × concentration factor × tank volume ÷ 1000.",
              inputs: [
                ["tank", quantityText(tank.volumeL, "volume", units)],
                ["one part in", String(loop.ratioR)],
              ] as const,
              ...(note !== null && { note }),
            };
          }),
          { title: "Make up to the mark", amount: { value: tank.volumeL, dimension: "volume" } },
        ]}
      />
    </section>
  );
}
