"use client";
import { PageLink } from "@/ui/PageLink";
import { useRouter } from "next/navigation";
import { dayInWords } from "@/core/units/day";
import { undoAct } from "@/server/history/actions";
import type { ActView, HistoryView } from "@/server/history/view";
import type { ViewQuery } from "@/server/session/query";
import { Button, buttonClass } from "@/ui/Button";
import { Empty } from "@/ui/Empty";
import { ChangeWords, doesWords } from "@/features/frame/ChangeWords";
import { titleOf } from "@/features/frame/historyWords";
import { useCommand } from "@/features/frame/useCommand";
import { useClock, useMay } from "@/features/frame/who";

interface Named {
  readonly id: number;
  readonly name: string;
}

export interface HistorySheetProps {
  readonly view: HistoryView;
  readonly asked: ViewQuery;
  readonly people: readonly Named[];
  readonly houses: readonly Named[];
  readonly stands: readonly Named[];
  readonly loops: readonly Named[];
}

/** Who changed what, what was there before, and undo. */
export function HistorySheet({ view, asked, people, houses, stands, loops }: HistorySheetProps) {
  const router = useRouter();
  const mayKeep = useMay("keep");
  const { day } = useClock();
  const dayOf = (act: ActView) => day(act.at);
  const show = (part: string, value: string) => {
    const params = new URLSearchParams();
    if (asked.person && part !== "person") params.set("person", String(asked.person));
    if (part === "person" && value) params.set("person", value);
    else if (part !== "person" && value) params.set(...(value.split(":") as [string, string]));
    router.push(`/people/history?${params}`, { scroll: false });
  };
  const place = asked.house
    ? `house:${asked.house}`
    : asked.stand
      ? `stand:${asked.stand}`
      : asked.loop
        ? `loop:${asked.loop}`
        : "";
  return (
    <>
      <div className="no-print flex flex-wrap items-end gap-3">
        <Choice label="By" value={String(asked.person ?? "")} onChange={(value) => show("person", value)}>
          <option value="">everybody</option>
          {people.map((person) => (
            <option key={person.id} value={person.id}>
              {person.name}
            </option>
          ))}
        </Choice>
        <Choice label="Where" value={place} onChange={(value) => show("place", value)}>
          <option value="">everywhere</option>
          {[
            ["house", houses],
            ["stand", stands],
            ["loop", loops],
          ].map(([kind, list]) =>
            (list as readonly Named[]).map((row) => (
              <option key={`${kind as string}${row.id}`} value={`${kind as string}:${row.id}`}>
                {row.name}
                {kind === "loop" && " loop"}
              </option>
            )),
          )}
        </Choice>
        {mayKeep && (
          <PageLink className={buttonClass("quiet")} href="/people/history?at=access">
            Access
          </PageLink>
        )}
        {asked.batch && (
          <PageLink className={buttonClass("quiet")} href="/people/history">
            One batch only; show all
          </PageLink>
        )}
      </div>
      {view.acts.length === 0 ? (
        <Empty
          title="No changes yet"
          example="When somebody moves a batch or changes a recipe or an order, it is listed here with who, when and what was there before; most changes can be undone."
        />
      ) : (
        <ol className="mt-2">
          {view.acts.map((act, index) => (
            <li key={act.act}>
              {dayOf(act) !== (view.acts[index - 1] && dayOf(view.acts[index - 1]!)) && (
                <h2 className="mt-5 border-b-2 border-ink pb-1 text-xl">{dayInWords(dayOf(act), "long")}</h2>
              )}
              <ActRow act={act} view={view} />
            </li>
          ))}
        </ol>
      )}
      {view.next !== null && (
        <PageLink className={`${buttonClass()} mt-4`} href={`/people/history?before=${view.next}`}>
          Older
        </PageLink>
      )}
    </>
  );
}

function Choice({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: React.ReactNode;
}) {
  return (
    <label className="text-sm font-bold">
      {label}
      <select className="input" value={value} onChange={(event) => onChange(event.target.value)}>
        {children}
      </select>
    </label>
  );
}

function ActRow({ act, view }: { act: ActView; view: HistoryView }) {
  const [first] = act.changes;
  const mayPlan = useMay("plan");
  const { run, busy } = useCommand(undoAct, { done: "Undone", undo: false });
  const { time } = useClock();
  return (
    <div
      className={`grid grid-cols-[3.5rem_1fr] gap-x-3 border-b border-rule py-2 sm:grid-cols-[3.5rem_8rem_1fr_auto] ${act.undone ? "text-soft" : ""}`}
    >
      <time dateTime={new Date(act.at).toISOString()}>{time(act.at)}</time>
      <span className="max-sm:col-start-2">{act.personName ?? "set up"}</span>
      <ul className="min-w-0 max-sm:col-start-2">
        {act.changes.map((change) => (
          <li key={change.id} className={act.undone ? "line-through" : ""}>
            <ChangeWords change={change} names={view.names} days={view.days} />
          </li>
        ))}
        {act.more > 0 && <li className="text-soft">and {act.more} more</li>}
        {act.undone && <li className="text-sm">undone</li>}
        {act.undoes && <li className="text-sm text-soft">undid a change</li>}
      </ul>
      {act.canUndo && mayPlan && (
        <Button
          look="quiet"
          className="no-print !text-base max-sm:col-start-2 max-sm:justify-self-start"
          disabled={busy}
          aria-label={first ? `Undo: ${doesWords(first)} ${titleOf(first, view.names)}` : "Undo"}
          onClick={() => void run({ act: act.act })}
        >
          Undo
        </Button>
      )}
    </div>
  );
}
