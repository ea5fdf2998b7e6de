"use client";
import { FlaskConical } from "lucide-react";
import { usePathname, useSearchParams } from "next/navigation";
import { Popover } from "radix-ui";
import { useState } from "react";
import { addWhatIf } from "@/server/garden/whatIf/actions";
import { Button } from "@/ui/Button";
import { useCommand } from "../useCommand";
import { Only, useWho } from "../who";

const PLANNED = /^\/(?:place|water|feed|growth|batches)(?:\/|$)/u;

interface TryButtonProps {
  readonly whatIfs: readonly { readonly id: number; readonly name: string }[];
}

/** Opens the sheet that is shown in a what-if: one that there is, or a new one. */
export function TryButton({ whatIfs }: TryButtonProps) {
  const path = usePathname();
  const asked = useSearchParams();
  const { whatIf } = useWho();
  const [name, setName] = useState("");
  const { run, busy } = useCommand(addWhatIf, { undo: false });
  if (!PLANNED.test(path)) return null;
  const within = (id: number) => {
    const query = new URLSearchParams(asked);
    query.set("whatif", String(id));
    return `${path}?${query}`;
  };
  const begin = async () => {
    const result = await run({ name, purpose: "" });
    // Loaded anew: from here on every sheet is the what-if's.
    if (result.ok) window.location.assign(within(Number(result.value)));
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="Try it in a what-if"
        className="no-print flex min-h-11 min-w-11 items-center justify-center gap-2 text-soft"
      >
        <FlaskConical aria-hidden className="size-5" />
        <span className="sign text-lg underline max-md:hidden">Try it in a what-if</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          aria-label="Try it in a what-if"
          className="z-50 w-72 border-2 border-try bg-sheet p-3 shadow-lg"
        >
          <p className="sign text-xl text-try">Try it in a what-if</p>
          <p className="mb-2 text-sm text-soft">
            The same sheet, beside the garden: nothing becomes real until you adopt it.
          </p>
          {whatIfs
            .filter(({ id }) => id !== whatIf?.id)
            .map(({ id, name: one }) => (
              <a key={id} href={within(id)} className="flex min-h-11 items-center underline">
                {one}
              </a>
            ))}
          <Only right="plan">
            <form
              className="mt-2 border-t border-rule pt-2"
              onSubmit={(event) => {
                event.preventDefault();
                void begin();
              }}
            >
              <label className="text-sm font-bold">
                New what-if
                <input
                  className="input font-normal"
                  value={name}
                  maxLength={80}
                  placeholder="a bigger pump, one bench more …"
                  onChange={(event) => setName(event.target.value)}
                />
              </label>
              <Button look="strong" type="submit" className="mt-2" disabled={busy || name.trim() === ""}>
                Open this sheet in it
              </Button>
            </form>
          </Only>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
