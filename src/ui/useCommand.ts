"use client";
import { useRouter } from "next/navigation";
import { useCallback, useState } from "react";
import { toast } from "sonner";
import { undoAct } from "@/server/history/actions";
import type { Action, ActionResult } from "@/server/session/result";
import { noteRefresh } from "./refreshed";

export interface CommandOptions<Value> {
  /** What the toast says when it is done. */
  readonly done?: string;
  /** Takes it back; without one the changes themselves are taken back, row by row. `false`: cannot be undone. */
  readonly undo?: ((value: Value) => Promise<ActionResult<unknown>>) | false;
}

/** Calls a server action: says that it was saved, offers to undo it, and shows why not when it was refused. */
export function useCommand<Value>(action: Action<Value>, { done, undo }: CommandOptions<Value> = {}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const refresh = useCallback(() => {
    noteRefresh();
    router.refresh();
  }, [router]);
  const run = useCallback(
    async (input: unknown): Promise<ActionResult<Value>> => {
      setBusy(true);
      const result = await attempt(() => action(input));
      setBusy(false);
      if (!result.ok) {
        // What has changed meanwhile is brought in; without a connection or a session there is nothing to bring.
        if (result.status !== 503 && result.status !== 401) refresh();
        sayRefused(result);
        return result;
      }
      refresh();
      const { act } = result;
      const takeBack = undo ?? (act === undefined ? undefined : () => undoAct({ act }));
      if (done)
        toast.success(done, {
          action: takeBack && {
            label: "Undo",
            onClick: async () => {
              const undone = await attempt(() => takeBack(result.value));
              if (undone.ok) toast("Taken back.");
              else toast.error(undone.message);
              refresh();
            },
          },
        });
      return result;
    },
    [action, done, refresh, undo],
  );
  return { run, busy };
}

function sayRefused({ status, message }: { status: number; message: string }) {
  toast.error(message, {
    action: status === 401 ? { label: "Sign in", onClick: () => window.open("/sign-in", "_blank") } : undefined,
    duration: status === 401 ? 20_000 : undefined,
  });
}

async function attempt<Value>(call: () => Promise<ActionResult<Value>>): Promise<ActionResult<Value>> {
  try {
    return await call();
  } catch {
    return {
      ok: false,
      status: 503,
      message: "No connection: nothing was saved. What you typed is still here; try again.",
      fields: {},
    };
  }
}
