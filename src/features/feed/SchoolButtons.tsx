"use client";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";

/** Looks at a school, or chooses it for the loop. */
export function SchoolButtons({
  isChosen,
  isLooked,
  busy,
  onLook,
  onChoose,
}: {
  readonly isChosen: boolean;
  readonly isLooked: boolean;
  readonly busy: boolean;
  readonly onLook: () => void;
  readonly onChoose: () => void;
}) {
  return (
    <>
      <Button look="quiet" className="!text-base" aria-pressed={isLooked} onClick={onLook}>
        Look
      </Button>
      <Only right="plan">
        {!isChosen && (
          <Button className="!text-base" disabled={busy} onClick={onChoose}>
            Choose
          </Button>
        )}
      </Only>
    </>
  );
}
