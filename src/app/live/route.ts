import { maybeOne, pool } from "@/server/db/pool";
import { listen, type Told } from "@/server/live/hub";
import { onBehalf } from "@/server/session/onBehalf";
import { route } from "@/server/session/route";
import type { Session } from "@/server/session/session";

/** How often a stream says that it lives, and looks whether whoever reads it still may. */
const BEAT_MS = 15_000;
const STREAM_MS = 30 * 60_000;

/**
 * Server-sent events: one for each change in the garden of the session. A screen that comes back after a lost connection
 * says so with the last event it heard, and is told at once to look again: it may have missed some.
 */
export const GET = route("look", async ({ request, who }) => {
  const comesBack = request.headers.has("last-event-id");
  const text = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let told = 0;
      const tell = (what: Told) =>
        controller.enqueue(
          text.encode(
            what.kind === "job" ? `event: job\ndata: ${what.data}\n\n` : `id: ${++told}\nevent: change\ndata: {}\n\n`,
          ),
        );
      const end = () => {
        stop();
        try {
          controller.close();
        } catch {
          // The reader has gone already.
        }
      };
      const ifAllowed = async (then: () => void) => ((await mayListen(who)) ? then() : end());
      // An event says only that there is something new; whoever fetches it is looked at then.
      const unlisten = listen(who.gardenId, tell);
      const beat = setInterval(
        () => void ifAllowed(() => controller.enqueue(text.encode(": here\n\n"))).catch(() => undefined),
        BEAT_MS,
      );
      const rest = setTimeout(end, STREAM_MS);
      stop = () => {
        unlisten();
        clearInterval(beat);
        clearTimeout(rest);
      };
      request.signal.addEventListener("abort", end);
      controller.enqueue(text.encode("retry: 1000\nid: 0\nevent: here\ndata: {}\n\n"));
      if (comesBack) tell({ kind: "change" });
    },
    cancel: () => stop(),
  });
  return new Response(body, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store", "x-accel-buffering": "no" },
  });
});

/** Whether the session is still open and its person still a member here. */
async function mayListen(who: Session): Promise<boolean> {
  const open = await maybeOne(pool(), "select 1 from session where id = $1 and expires_at > now()", [who.sessionId]);
  if (!open) return false;
  const home = await onBehalf(
    who,
    (db) =>
      maybeOne(db, "select 1 from person where garden_id = $1 and id = $2 and left_at is null", [
        who.gardenId,
        who.personId,
      ]),
    { readOnly: true },
  );
  return home !== null;
}
