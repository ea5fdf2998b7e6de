"use client";
import { useState } from "react";
import { toast } from "sonner";
import type { Action } from "@/server/session/result";
import { Button } from "@/ui/Button";
import { useCommand } from "@/features/frame/useCommand";

/** Asks for a one-time key and makes the link of it. */
export function useLink(
  action: Action<string>,
  path: string,
): [string | null, (input: unknown) => Promise<void>, boolean] {
  const [link, setLink] = useState<string | null>(null);
  const { run, busy } = useCommand(action, { undo: false });
  const ask = async (input: unknown) => {
    const result = await run(input);
    if (result.ok) setLink(`${window.location.origin}${path}?key=${result.value}`);
  };
  return [link, ask, busy];
}

/** A link to hand over: shown once, kept nowhere. */
export function LinkInHand({ link, good }: { link: string; good: string }) {
  return (
    <div className="mt-2 border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
      <label className="block text-sm font-bold">
        Pass this link on yourself. It works once, for {good}, and is shown only now.
        <input className="input mt-1 font-normal" readOnly value={link} onFocus={(event) => event.target.select()} />
      </label>
      <Button
        className="mt-2"
        onClick={() =>
          navigator.clipboard.writeText(link).then(
            () => toast("Copied"),
            () => toast("This browser does not allow copying by a button: copy it from the field."),
          )
        }
      >
        Copy
      </Button>
    </div>
  );
}
