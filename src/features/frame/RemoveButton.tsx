"use client";
import { useState } from "react";
import type { Action } from "@/server/session/result";
import { Button } from "@/ui/Button";
import { useCommand } from "./useCommand";

const DELETE = { act: "Delete", done: "deleted" };
export const REMOVE = { act: "Remove", done: "removed" };

/** Deletes a row, or removes a member; asks once more in place, since rows that depend on it may go too. */
export function RemoveButton({
  what,
  action,
  id,
  onDone,
  undo,
  words = DELETE,
}: {
  what: string;
  action: Action<unknown>;
  id: number;
  onDone: () => void;
  undo?: false;
  words?: typeof DELETE;
}) {
  const [asked, setAsked] = useState(false);
  const { run, busy } = useCommand(action, { done: `${what} ${words.done}`, undo });
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
      {asked ? `${words.act} ${what}?` : words.act}
    </Button>
  );
}
