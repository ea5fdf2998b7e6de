"use client";
import { unstable_isUnrecognizedActionError as isUnknownAction, useRouter } from "next/navigation";
import { useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import { v4 as newId } from "uuid";
import { undoAct } from "@/server/history/actions";
import type { Action, ActionResult, Refusal } from "@/server/session/result";
import { passwordAgain } from "./passwordAgain";
import { noteRefresh } from "./refreshed";

export interface CommandOptions<Value> {
  /** What the toast says when it is done. */
  readonly done?: string;
  /** Takes it back; without one the changes themselves are taken back, row by row. `false`: cannot be undone. */
  readonly undo?: ((value: Value) => Promise<ActionResult<unknown>>) | false;
}

/** Something sent whose answer never came: it may have been done. */
interface Unanswered {
  readonly act: string;
  readonly input: string;
}

/**
 * Calls a server action: says that it was saved, offers to undo it, and shows why not when it was refused. Each act has an
 * id; pressed again after a lost answer the same id is sent, so that nothing is written twice.
 */
export function useCommand<Value>(action: Action<Value>, { done, undo }: CommandOptions<Value> = {}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const unanswered = useRef<Unanswered | null>(null);
  const refresh = useCallback(() => {
    noteRefresh();
    router.refresh();
  }, [router]);
  const send = useCallback(
    async (input: unknown): Promise<ActionResult<Value>> => {
      const text = JSON.stringify(input);
      const act = unanswered.current?.input === text ? unanswered.current.act : newId();
      unanswered.current = { act, input: text };
      const plain = unshared(input);
      let answer = await attempt(() => action(plain, act));
      if (!answer.lost && !answer.result.ok && answer.result.confirm && (await passwordAgain()))
        answer = await attempt(() => action(plain, act));
      if (!answer.lost) unanswered.current = null;
      return answer.result;
    },
    [action],
  );
  const run = useCallback(
    async (input: unknown): Promise<ActionResult<Value>> => {
      setBusy(true);
      const result = await send(input);
      setBusy(false);
      if (!result.ok) {
        // What has changed meanwhile is brought in; without a connection or a session there is nothing to bring.
        if (result.status !== 503 && result.status !== 401) refresh();
        sayRefused(result);
        return result;
      }
      refresh();
      const { act } = result;
      const takeBack = undo ?? (act === undefined ? undefined : () => undoAct({ act }, newId()));
      if (done)
        toast.success(done, {
          action: takeBack && {
            label: "Undo",
            onClick: async () => {
              const { result: undone } = await attempt(() => takeBack(result.value));
              if (undone.ok) toast("Taken back.");
              else toast.error(undone.message);
              refresh();
            },
          },
        });
      return result;
    },
    [done, refresh, send, undo],
  );
  return { run, busy };
}

/** The same without parts that stand in two places: they would be sent as references, and commands carry plain data alone. */
function unshared(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unshared);
  if (typeof value !== "object" || value === null || Object.getPrototypeOf(value) !== Object.prototype) return value;
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, unshared(part)]));
}

function sayRefused({ status, message, fields }: Refusal) {
  const signedOut = status === 401 && Object.keys(fields).length === 0;
  toast.error(message, {
    action: signedOut ? { label: "Sign in", onClick: () => window.open("/sign-in", "_blank") } : undefined,
    duration: signedOut ? 20_000 : undefined,
  });
}

const NO_CONNECTION = "No connection: nothing was saved. What you typed is still here; try again.";
const NO_ANSWER =
  "No answer: it may not have been saved. What you typed is still here; press again, nothing is written twice.";

interface Attempt<Value> {
  readonly result: ActionResult<Value>;
  /** Nobody answered. */
  readonly lost: boolean;
}

async function attempt<Value>(call: () => Promise<ActionResult<Value>>): Promise<Attempt<Value>> {
  const failed = (message: string): Refusal => ({ ok: false, status: 503, message, fields: {} });
  try {
    return { result: await call(), lost: false };
  } catch (error) {
    if (isUnknownAction(error))
      return {
        result: failed(
          "Not saved: Seed Round was renewed since this page was opened. Load the page anew; what you typed is kept.",
        ),
        lost: false,
      };
    // The server's own words, before it looked at what was asked, end with their line.
    if (error instanceof Error && error.message.endsWith(".\n"))
      return { result: { ...failed(`Not saved: ${error.message.trim()}`), status: 400 }, lost: false };
    return { result: failed(navigator.onLine ? NO_ANSWER : NO_CONNECTION), lost: true };
  }
}
