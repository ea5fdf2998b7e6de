"use client";
import { useMemo } from "react";
import { PageLink } from "@/ui/PageLink";
import { dayInWords, isoFromDay, type Day } from "@/core/units/day";
import { counted } from "@/core/units/format";
import type { SeasonView } from "@/core/garden/seasonView";
import { Button, buttonClass } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { SeasonChart } from "./chart/SeasonChart";
import { unmetWords } from "./words";
import { usePlanInput } from "./usePlanInput";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { later } from "@/ui/later";

const AddBatches = later(() => import("./AddBatches").then((part) => part.AddBatches));
const BatchForm = later(() => import("./BatchForm").then((part) => part.BatchForm));

export interface SeasonSheetProps {
  /** The season as text: its thousands of parts would take longer to send one by one than the rest of the page. */
  readonly packed: string;
  /** How far the garden has moved. */
  readonly point: string;
  /** A batch needs a variety and a growing area first. */
  readonly noBasis: boolean;
  readonly weeks: number;
  readonly sowWeekdays: readonly number[];
  /** The chosen batch. */
  readonly chosen: number | null;
}

/** The season: what is where, what moves when, and where there is no room. */
export function SeasonSheet({ packed, point, noBasis, weeks, sowWeekdays, chosen }: SeasonSheetProps) {
  const view = useMemo(() => JSON.parse(packed) as SeasonView, [packed]);
  const input = usePlanInput(point);
  const [adding, setAdding] = useOpened<boolean>("adding");
  const stopAdding = () => setAdding(null);
  const [changing, setChanging] = useOpened<number>("batch");
  const batch = view.batches.find((candidate) => candidate.id === changing);
  const link = (from: Day, count = weeks) => `/batches?from=${isoFromDay(from)}&weeks=${count}`;
  const step = Math.round((7 * weeks) / 2);
  return (
    <>
      <div className="no-print mb-2 flex flex-wrap items-center gap-2">
        <Only right="plan">
          <Button look="strong" data-key="n" disabled={noBasis} onClick={() => setAdding(true)}>
            Add batches
          </Button>
          <PageLink className={buttonClass()} href="/batches/plan">
            Plan the season
          </PageLink>
        </Only>
        <span className="grow" />
        <PageLink className={buttonClass()} href={link(view.from - step)} scroll={false}>
          Earlier
        </PageLink>
        <PageLink className={buttonClass()} href={`/batches?weeks=${weeks}`} scroll={false}>
          Today
        </PageLink>
        <PageLink className={buttonClass()} href={link(view.from + step)} scroll={false}>
          Later
        </PageLink>
        {[9, 17, 34].map((count) => (
          <PageLink
            key={count}
            className={buttonClass(count === weeks ? "strong" : "plain")}
            href={link(view.from, count)}
            scroll={false}
            aria-current={count === weeks ? "true" : undefined}
          >
            {count} weeks
          </PageLink>
        ))}
      </div>
      {view.batches.length === 0 && (
        <Empty
          title={noBasis ? "A batch needs a place and a variety first" : "No batch in these weeks"}
          example="For instance 40 Batavia lettuces for Saturday 5 June: sown on 19 April in 49 cells, moved to 39 nursery sites, then to 40 channel sites. From orders such batches are planned all at once."
        />
      )}
      <SeasonChart first={chosen} view={view} input={input} onChange={setChanging} />
      <NoRoom view={view} />
      <MissedOrders market={view.market} today={view.today} growingAreas={view.growingAreas} />
      <Drawer open={adding === true} onClose={stopAdding} title="Add batches">
        {input && <AddBatches first={null} input={input} sowWeekdays={sowWeekdays} onDone={stopAdding} />}
        {!input && <p role="status">Loading the plan …</p>}
      </Drawer>
      <Drawer open={batch !== undefined} onClose={() => setChanging(null)} title="Change the batch">
        {batch && <BatchForm batch={batch} onDone={() => setChanging(null)} />}
      </Drawer>
    </>
  );
}

/** Where it is over capacity, when and by how much, and the batches that have no place there. */
function NoRoom({ view: { growingAreas, blocks, batches, today } }: { readonly view: SeasonView }) {
  const over = growingAreas.flatMap((area) => {
    const out = blocks.filter((block) => block.growingAreaId === area.id && block.over > 0 && block.to > today);
    return area.daysOver > 0 || out.length > 0 ? [{ area, out }] : [];
  });
  if (over.length === 0) return null;
  return (
    <section aria-label="No room" className="mt-3">
      <h2 className="text-xl">Where there is no room</h2>
      <ul className="text-alarm">
        {over.map(({ area: { id, name, daysOver, firstOver }, out }) => (
          <li key={id}>
            <b>{name}</b>
            {firstOver && (
              <>
                : over on {counted(daysOver, "day")}, first on {dayInWords(firstOver.day)} by{" "}
                {counted(firstOver.sites, "site")}
              </>
            )}
            {out.length > 0 && (
              <>
                {firstOver ? "; " : ": sites enough, but not together; "}
                no place for{" "}
                {out.slice(0, SHOWN).map(({ batchId, plants }, at) => {
                  const batch = batches.find((one) => one.id === batchId)!;
                  return (
                    <span key={batchId}>
                      {at > 0 && ", "}
                      <PageLink href={`/batches?batch=${batchId}`} scroll={false} className="underline">
                        {batch.variety} of {dayInWords(batch.sowDay)}
                      </PageLink>{" "}
                      ({plants})
                    </span>
                  );
                })}
                {out.length > SHOWN && ` and ${out.length - SHOWN} more`}
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const SHOWN = 6;

/** Which orders of the weeks shown are short, from today on; the chart above shows only the day. */
function MissedOrders({ market, today, growingAreas }: Pick<SeasonView, "market" | "today" | "growingAreas">) {
  const missed = market.filter(({ day }) => day >= today).flatMap((day) => day.missed);
  if (missed.length === 0) return null;
  const area = (id: number) => growingAreas.find((growingArea) => growingArea.id === id)?.name ?? "";
  return (
    <section aria-label="Orders that go short" className="mt-3">
      <h2 className="text-xl">Orders that go short in these weeks</h2>
      <ul className="grid gap-x-8 text-sm text-alarm lg:grid-cols-2">
        {missed.slice(0, SHOWN).map((line) => (
          <li key={`${line.orderId}-${line.day}`}>
            {line.customer}, {dayInWords(line.day)}: {unmetWords(line.state, { ...line, area })}
          </li>
        ))}
        {missed.length > SHOWN && <li>and {missed.length - SHOWN} more</li>}
      </ul>
    </section>
  );
}
