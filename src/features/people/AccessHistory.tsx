"use client";
import { PageLink } from "@/ui/PageLink";
import { dayInWords } from "@/core/units/day";
import type { AccessEvent, AccessEventKind } from "@/server/people/accessEvents";
import { buttonClass } from "@/ui/Button";
import { Empty } from "@/ui/Empty";
import { useClock } from "@/features/frame/who";

const WORDS: Readonly<Record<AccessEventKind, string>> = {
  "signed-in": "signed in",
  "password-changed": "changed the password",
  "password-reset": "set a new password with a link",
  "password-by-machine": "got a new password from the server's command line",
  "factor-on": "switched the second factor on",
  "factor-off": "switched the second factor off",
  "factor-off-by-machine": "had the second factor switched off from the server's command line",
  "recovery-code-used": "used a recovery code",
};

/** Sign-ins and changes of access, for the keepers. */
export function AccessHistory({ events, isFull }: { events: readonly AccessEvent[]; isFull: boolean }) {
  const { day, time } = useClock();
  return (
    <>
      <p className="no-print">
        <PageLink className={buttonClass("quiet")} href="/people/history">
          Changes to the garden
        </PageLink>
      </p>
      {events.length === 0 ? (
        <Empty
          title="No sign-ins yet"
          example="Each sign-in, new password and change of a second factor is listed here, with its time, device and address. Links made, used and withdrawn are listed among the changes."
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
        <PageLink className={`${buttonClass()} mt-4`} href={`/people/history?at=access&before=${events.at(-1)!.id}`}>
          Older
        </PageLink>
      )}
    </>
  );
}
