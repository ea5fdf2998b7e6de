import pg from "pg";
import { log } from "../session/log";

/** A change of the garden, or how far a job of it is. */
export type Told = { readonly kind: "change" } | { readonly kind: "job"; readonly data: string };
type Listener = (told: Told) => void;

/** One connection that listens for what changes in all gardens, and tells the screens of each. */
interface Hub {
  readonly byGarden: Map<number, Set<Listener>>;
  /** Gardens whose screens were told a moment ago, and whether there is more to tell. */
  readonly due: Map<number, boolean>;
  closed: boolean;
  client: pg.Client | null;
}

const CHANNEL = "seed_round_change";
const JOB_CHANNEL = "seed_round_job";
const CHANGE: Told = { kind: "change" };
const FIRST_PAUSE_MS = 250;
const LONGEST_PAUSE_MS = 5000;
const TOGETHER_MS = 200;

const kept = globalThis as { seedRoundHub?: Hub };

/** Calls back after each change of a garden and with what is said of its jobs, until the returned function is called. Nobody listening, no connection. */
export function listen(gardenId: number, listener: Listener): () => void {
  const hub = (kept.seedRoundHub ??= open());
  const listeners = hub.byGarden.get(gardenId) ?? new Set();
  hub.byGarden.set(gardenId, listeners.add(listener));
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0 && hub.byGarden.get(gardenId) === listeners) hub.byGarden.delete(gardenId);
    if (hub.byGarden.size > 0 || hub.closed) return;
    hub.closed = true;
    if (kept.seedRoundHub === hub) kept.seedRoundHub = undefined;
    void hub.client?.end().catch(() => undefined);
  };
}

/** A change is told at once; those that follow close behind it are told together. */
function publishChange(hub: Hub, gardenId: number): void {
  if (hub.due.has(gardenId)) return void hub.due.set(gardenId, true);
  for (const listener of hub.byGarden.get(gardenId) ?? []) listener(CHANGE);
  hub.due.set(gardenId, false);
  setTimeout(() => {
    const more = hub.due.get(gardenId);
    hub.due.delete(gardenId);
    if (more) publishChange(hub, gardenId);
  }, TOGETHER_MS);
}

/** What is said of a job goes to the screens of its garden as it is. */
function publishJob(hub: Hub, payload: string): void {
  const { gardenId, ...data } = JSON.parse(payload) as { readonly gardenId: number };
  for (const listener of hub.byGarden.get(gardenId) ?? []) listener({ kind: "job", data: JSON.stringify(data) });
}

function open(): Hub {
  const hub: Hub = { byGarden: new Map(), due: new Map(), closed: false, client: null };
  void keepListening(hub);
  return hub;
}

/** Listens, and begins again when the connection breaks. What was missed meanwhile every screen asks for itself. */
async function keepListening(hub: Hub): Promise<void> {
  let pauseMs = FIRST_PAUSE_MS;
  while (!hub.closed) {
    const client = new pg.Client({ connectionString: process.env.DATABASE_URL, keepAlive: true });
    const ended = new Promise<void>((resolve) => {
      client.once("end", resolve);
      client.once("error", () => resolve());
    });
    try {
      hub.client = client;
      await client.connect();
      client.on("notification", ({ channel, payload }) => {
        if (channel === JOB_CHANNEL) publishJob(hub, payload ?? "");
        else publishChange(hub, Number(payload));
      });
      await client.query(`listen ${CHANNEL}; listen ${JOB_CHANNEL}`);
      if (pauseMs > FIRST_PAUSE_MS)
        for (const listeners of hub.byGarden.values()) for (const listener of listeners) listener(CHANGE);
      pauseMs = FIRST_PAUSE_MS;
      await ended;
    } catch (error) {
      log.warn({ error }, "listening for changes failed");
    }
    hub.client = null;
    await client.end().catch(() => undefined);
    if (hub.closed) return;
    await new Promise((resolve) => setTimeout(resolve, pauseMs).unref());
    pauseMs = Math.min(LONGEST_PAUSE_MS, pauseMs * 2);
  }
}
