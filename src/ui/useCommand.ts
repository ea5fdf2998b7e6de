"use client";
import { useRouter } from "next/navigation";
import { useCallback, useState } from "react";
import { toast } from "sonner";
import type { Action, ActionResult } from "@/server/session/result";

export interface CommandOptions<Value> {
  /** What the toast says when it is done. */
  readonly done?: string;
  /** Takes it back; offered beside the toast. */
  readonly undo?: (value: Value) => Promise<ActionResult<unknown>>;
}

/** Calls a server action: says that it was saved, offers to undo it, and shows why not when it was refused. */
export function useCommand<Value>(action: Action<Value>, { done, undo }: CommandOptions<Value> = {}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const run = useCallback(
    async (input: unknown): Promise<ActionResult<Value>> => {
      setBusy(true);
      const result = await attempt(action, input);
      setBusy(false);
      router.refresh();
      if (!result.ok) {
        toast.error(result.message);
        return result;
      }
      if (done)
        toast.success(done, {
          action: undo && {
            label: "Undo",
            onClick: async () => {
              const undone = await attempt(undo, result.value);
              if (undone.ok) toast("Taken back.");
              else toast.error(undone.message);
              router.refresh();
            },
          },
        });
      return result;
    },
    [action, done, router, undo],
  );
  return { run, busy };
}

async function attempt<Input, Value>(
  action: (input: Input) => Promise<ActionResult<Value>>,
  input: Input,
): Promise<ActionResult<Value>> {
  try {
    return await action(input);
  } catch {
    return {
      ok: false,
      message: "No connection: nothing was saved. What you typed is still here; try again.",
      fields: {},
    };
  }
}
