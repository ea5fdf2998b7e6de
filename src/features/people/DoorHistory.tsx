"use client";
import Link from "next/link";
import { dayInWords } from "@/core/units/day";
import type { DoorEvent, DoorEventKind } from "@/server/people/doorEvents";
import { buttonClass } from "@/ui/Button";
import { Empty } from "@/ui/Empty";
import { useClock } from "@/ui/who";

const WORDS: Readonly<Record<DoorEventKind, string>> = {
  "signed-in": "signed in",
  "password-changed": "changed the password",
  "password-reset": "set a new password with a link",
  "password-by-machine": "got a new password at the machine itself",
  "factor-on": "switched the second factor on",
  "factor-off": "switched the second factor off",
  "factor-off-by-machine": "lost the second factor at the machine itself",
  "recovery-code-used": "used a recovery code",
};

/** What happened at the door, for the keepers. */
export function DoorHistory({ events, isFull }: { events: readonly DoorEvent[]; isFull: boolean }) {
  const { day, time } = useClock();
  return (
    <>
      <p className="no-print">
        <Link className={buttonClass("quiet")} href="/people/history">
          To the changes of the garden
        </Link>
      </p>
      {events.length === 0 ? (
        <Empty
          title="Nobody came in yet"
          example="Whoever signs in, gets a new password or switches a second factor on or off stands here, with when and from where. Links made, used and withdrawn stand among the changes."
        />
      ) : (
        <ol className="mt-2">
          {events.map((event, index) => (
            <li key={event.id}>
              {day(event.at) !== (events[index - 1] && day(events[index - 1]!.at)) && (
                <h2 className="mt-5 border-b-2 border-ink pb-1 text-xl">{dayInWords(day(event.at), "long")}</h2>
              )}
              <div className="grid grid-cols-[3.5rem_1fr] gap-x-3 border-b border-rule py-2 sm:grid-cols-[3.5rem_8rem_1fr_auto]">
                <time dateTime={event.at.toISOString()}>{time(event.at)}</time>
                <span className="max-sm:col-start-2">{event.personName}</span>
                <span className={`max-sm:col-start-2 ${event.kind === "signed-in" ? "" : "font-bold"}`}>
                  {WORDS[event.kind]}
                </span>
                <span className="text-soft max-sm:col-start-2">
                  {event.address ? `${event.device} at ${event.address}` : ""}
                </span>
              </div>
            </li>
          ))}
        </ol>
      )}
      {isFull && (
        <Link className={`${buttonClass()} mt-4`} href={`/people/history?at=door&before=${events.at(-1)!.id}`}>
          Older
        </Link>
      )}
    </>
  );
}
