"use client";
import { useState } from "react";
import type { Action } from "@/server/session/result";
import { Button } from "./Button";
import { useCommand } from "./useCommand";

/** Removes a row; asks once more in place, since what hangs on it may go too. */
export function RemoveButton({
  what,
  action,
  id,
  onDone,
  undo,
}: {
  what: string;
  action: Action<unknown>;
  id: number;
  onDone: () => void;
  undo?: false;
}) {
  const [asked, setAsked] = useState(false);
  const { run, busy } = useCommand(action, { done: `${what} removed`, undo });
  return (
    <Button
      look={asked ? "alarm" : "quiet"}
      disabled={busy}
      onClick={async () => {
        if (!asked) return setAsked(true);
        const result = await run({ id });
        if (result.ok) onDone();
      }}
    >
      {asked ? `Really remove ${what}?` : "Remove"}
    </Button>
  );
}
