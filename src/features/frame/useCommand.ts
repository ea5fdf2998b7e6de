"use client";
import type { UnitPreferences } from "@/core/units/dimensions";
import { unstable_isUnrecognizedActionError as isUnknownAction, useRouter } from "next/navigation";
import { useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import { v4 as newId } from "uuid";
import { undoAct } from "@/server/history/actions";
import type { Action, ActionResult, Refusal } from "@/server/session/result";
import { wanted } from "@/ui/later";
import { useUnits } from "@/ui/units";
import { passwordAgain } from "./passwordAgain";
import type { Answer, WordedRefusal } from "./refusalWords";
import { noteRefresh } from "./refreshed";

export interface CommandOptions<Value> {
  /** What the toast says when it is done. */
  readonly done?: string;
  /** Undoes it; without one the changes themselves are undone, row by row. `false`: cannot be undone. */
  readonly undo?: ((value: Value) => Promise<ActionResult<unknown>>) | false;
  /** Whether the caller shows this refusal itself, where it belongs. */
  readonly shows?: (refusal: WordedRefusal) => boolean;
}

const refusalWords = wanted(() => import("./refusalWords"));

/** Something sent whose answer never came: it may have been done. */
interface Unanswered {
  readonly act: string;
  readonly input: string;
}

/**
 * Calls a server action: says that it was saved, offers to undo it, and shows why not when it was refused. Each act has an
 * id; pressed again after a lost answer the same id is sent, so that nothing is written twice.
 */
export function useCommand<Value>(action: Action<Value>, { done, undo, shows }: CommandOptions<Value> = {}) {
  const router = useRouter();
  const units = useUnits();
  const [busy, setBusy] = useState(false);
  const unanswered = useRef<Unanswered | null>(null);
  const refresh = useCallback(() => {
    noteRefresh();
    router.refresh();
  }, [router]);
  const send = useCallback(
    async (input: unknown): Promise<Answer<Value>> => {
      const text = JSON.stringify(input);
      const act = unanswered.current?.input === text ? unanswered.current.act : newId();
      unanswered.current = { act, input: text };
      const plain = unshared(input);
      let answer = await attempt(() => action(plain, act), units);
      if (!answer.lost && !answer.result.ok && answer.result.confirm && (await passwordAgain()))
        answer = await attempt(() => action(plain, act), units);
      if (!answer.lost) unanswered.current = null;
      return answer.result;
    },
    [action, units],
  );
  const run = useCallback(
    async (input: unknown): Promise<Answer<Value>> => {
      setBusy(true);
      const result = await send(input);
      setBusy(false);
      if (!result.ok) {
        // What has changed meanwhile is brought in; without a connection or a session there is nothing to bring.
        if (result.status !== 503 && result.status !== 401) refresh();
        if (!shows?.(result)) showRefusal(result);
        return result;
      }
      refresh();
      const { act, also } = result;
      if (also) toast(`${also.by} changed ${also.fields.join(", ")} meanwhile; that stays as ${also.by} has it.`);
      const undoIt = undo ?? (act === undefined ? undefined : () => undoAct({ act }, newId()));
      if (done)
        toast.success(done, {
          duration: undoIt ? UNDO_MS : undefined,
          action: undoIt && {
            label: "Undo",
            onClick: async () => {
              const { result: undone } = await attempt(() => undoIt(result.value), units);
              if (undone.ok) toast("Undone.");
              else toast.error(undone.message);
              refresh();
            },
          },
        });
      return result;
    },
    [done, refresh, send, shows, undo, units],
  );
  return { run, busy };
}

/** The same without shared parts: they would be sent as references, and commands carry plain data alone. */
function unshared(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unshared);
  if (typeof value !== "object" || value === null || Object.getPrototypeOf(value) !== Object.prototype) return value;
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, unshared(part)]));
}

function showRefusal({ status, message, fields }: WordedRefusal) {
  const signedOut = status === 401 && Object.keys(fields).length === 0;
  toast.error(message, {
    action: signedOut ? { label: "Sign in", onClick: () => window.open("/sign-in", "_blank") } : undefined,
    duration: signedOut ? 20_000 : undefined,
  });
}

/** Long enough to read what was done, look at it, and come back to undo it. */
const UNDO_MS = 10_000;

const NO_CONNECTION = "No connection: nothing was saved. What you typed is still here; try again.";
const NO_ANSWER =
  "No answer: it may not have been saved. What you typed is still here; press again, nothing is written twice.";

interface Attempt<Value> {
  readonly result: Answer<Value>;
  /** Nobody answered. */
  readonly lost: boolean;
}

async function attempt<Value>(
  call: () => Promise<ActionResult<Value>>,
  units: UnitPreferences,
): Promise<Attempt<Value>> {
  const failed = (message: string): WordedRefusal => ({ ok: false, status: 503, message, fields: {} });
  try {
    const result = await call();
    return { result: result.ok ? result : await inWords(result, units), lost: false };
  } catch (error) {
    if (isUnknownAction(error))
      return {
        result: failed(
          "Not saved: Seed Round was updated since this page was opened. Reload the page; what you typed is kept.",
        ),
        lost: false,
      };
    // The server's own words, before it looked at what was asked, end with their line.
    if (error instanceof Error && error.message.endsWith(".\n"))
      return { result: { ...failed(`Not saved: ${error.message.trim()}`), status: 400 }, lost: false };
    return { result: failed(navigator.onLine ? NO_ANSWER : NO_CONNECTION), lost: true };
  }
}

/** The sentences are not part of the first load; where they cannot be had, the refusal is shown without its reason. */
async function inWords(refusal: Refusal, units: UnitPreferences): Promise<WordedRefusal> {
  try {
    return (await refusalWords()).worded(refusal, units);
  } catch {
    const { status, fields = {} } = refusal;
    return { ok: false, status, message: "Not saved. Reload the page to see why; what you typed is kept.", fields };
  }
}
