"use client";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";

/** A worked-out number that can be opened: the formula in words, what went in, and where that comes from. */
export function Why({
  label,
  how,
  inputs = [],
  children,
}: {
  label: string;
  how: string;
  inputs?: readonly (readonly [name: string, value: string])[];
  children: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className="cursor-help rounded text-left decoration-soft decoration-dotted decoration-2 underline-offset-4 hover:underline"
        aria-label={`${label}: how it is worked out`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-50 max-w-sm rounded border-2 border-ink bg-sheet p-4 text-sm shadow-lg"
        >
          <p className="sign mb-2 text-lg">{label}</p>
          <p>{how}</p>
          {inputs.length > 0 && (
            <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 border-t border-rule pt-2">
              {inputs.map(([name, value]) => (
                <div key={name} className="contents">
                  <dt className="text-soft">{name}</dt>
                  <dd className="text-right font-bold">{value}</dd>
                </div>
              ))}
            </dl>
          )}
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
