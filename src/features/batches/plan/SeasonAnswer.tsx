"use client";
import type { Remedy } from "@/core/garden/season/remedy";
import { dayInWords } from "@/core/units/day";
import { counted, quantityText } from "@/core/units/format";
import type { SeasonDraft } from "@/server/batches/seasonDraft";
import { buttonClass } from "@/ui/Button";
import { PageLink } from "@/ui/PageLink";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { DraftList } from "./DraftList";
import { remedyWords } from "./reasonWords";
import { SeasonReasonsList } from "./SeasonReasonsList";
import { gapWords } from "./words";

const HOW =
  "What is given to orders at its price (an order that goes first counts three times, one that waits two fifths), less seed, water, salts, hours at their wage and what nobody takes; 0.2 % of a plant’s worth is taken off for each day that it waits, 0.02 % for each day on a site, so that of equal plans the one with more room is taken. A litre costs what the source asks that it would come from on that day; taken from stored rain, what has to be drawn later in its place. Salts cost what they do on the shelf; heat and light of the houses are paid either way and are left out. Every batch that could be sown is looked at, with the sites of each growing area day by day, the water with what is stored, hours, and what stands already. The best there can be is worked out as if plants could be shared; a plan that comes near it is looked for, placed on real lines, and walked day by day once more.";

/** What the season that was planned comes to, and what it would change. */
export function SeasonAnswer({
  draft,
  onTry,
}: {
  readonly draft: SeasonDraft;
  /** Plans it again with a remedy; null while that is being asked for. */
  readonly onTry: ((remedy: Remedy) => void) | null;
}) {
  const units = useUnits();
  const { answer, day, view, setId, conflicts } = draft;
  return (
    <section aria-label="The planned season" className="mt-5 border-t-2 border-ink pt-3">
      <p className="text-xl">
        {answer.isUnchanged ? (
          <>
            <b>Nothing changes.</b> The present plan is worth{" "}
            <Why label="What the season is worth" how={HOW}>
              <b className="sign text-2xl">{quantityText(answer.value, "money", units)}</b>
            </Why>
            , {gapWords(answer.value, answer.bound, units)}.
          </>
        ) : (
          <>
            Planned on {dayInWords(day)}: worth{" "}
            <Why label="What the season is worth" how={HOW}>
              <b className="sign text-2xl">{quantityText(answer.value, "money", units)}</b>
            </Why>
            , {gapWords(answer.value, answer.bound, units)}.
          </>
        )}
      </p>
      {answer.remedy && (
        <p className="mt-1 border-l-[6px] border-try bg-try-pale px-3 py-1">
          With {remedyWords(answer.remedy, units)}: that comes along when it is accepted.
        </p>
      )}
      <Notes draft={draft} />
      {view && setId !== null && (
        <>
          <p className="mt-2">
            Orders met: <b className="sign text-xl">{view.then.ordersMet}</b> of {view.then.ordersAhead}, as it is now{" "}
            {view.now.ordersMet}. Without a place: {view.then.leftOut}, now {view.now.leftOut}.{" "}
            {/* Loaded anew: from here on every sheet is the planned season's. */}
            <a href={`/batches?whatif=${setId}`} className={buttonClass("plain")}>
              Look at it on the season
            </a>
          </p>
          {conflicts > 0 && (
            <p className="mt-2 border-l-[6px] border-feed bg-feed-pale px-3 py-1.5">
              The garden has changed since in {counted(conflicts, "place")} that it touches.{" "}
              <PageLink href={`/batches/what-if?set=${setId}`} className="underline">
                Settle them
              </PageLink>{" "}
              or plan it again.
            </p>
          )}
          <DraftList setId={setId} rows={view.rows} />
        </>
      )}
      {answer.reasons && <SeasonReasonsList reasons={answer.reasons} onTry={onTry} />}
      {!view && !answer.isUnchanged && <p className="mt-2 text-soft">Nothing of it is left to take.</p>}
    </section>
  );
}

/** What the answer leaves out or stands on. */
function Notes({ draft: { answer } }: { readonly draft: SeasonDraft }) {
  const units = useUnits();
  return (
    <ul className="mt-2 space-y-1">
      {answer.unpriced.length > 0 && (
        <li className="border-l-[6px] border-feed bg-feed-pale px-3 py-1">
          No price is told of {answer.unpriced.join(", ")}: a unit is counted as worth 1.{" "}
          <PageLink href="/growth" className="underline">
            Tell their prices
          </PageLink>
        </li>
      )}
      {answer.hopeless.length > 0 && (
        <li className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-1">
          {answer.hopeless.join(", ")}: no sowing gives what is ordered. Look at germination, survival and yield under
          Growth.
        </li>
      )}
      {(answer.idleAreas ?? []).length > 0 && (
        <li className="text-soft">
          No crop leads to {answer.idleAreas.join(", ")}: nothing can be planned there.{" "}
          <PageLink href="/growth" className="underline">
            Say under Growth what grows where
          </PageLink>
        </li>
      )}
      {answer.leftOut > 0 && (
        <li className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-1">
          {counted(answer.leftOut, "stay", "stays")} of batches found no place together and count as not fitting.
        </li>
      )}
      {answer.lostApart >= 0.5 && (
        <li className="text-soft">
          {`Sites enough were free, but not together on lines: that costs ${quantityText(answer.lostApart, "money", units)}.`}
        </li>
      )}
    </ul>
  );
}
