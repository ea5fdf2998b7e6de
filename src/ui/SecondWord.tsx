"use client";
import { useState, type ReactNode } from "react";
import { Button } from "./Button";

/** What is dangerous is shown only after somebody has read why, and said so. It is asked again when the danger is another. */
export function SecondWord({
  why,
  confirm,
  children,
}: {
  /** null where nothing is dangerous. */
  readonly why: string | null;
  readonly confirm: string;
  readonly children: ReactNode;
}) {
  const [read, setRead] = useState<string | null>(null);
  if (why === null || read === why) return children;
  return (
    <div role="alert" className="mt-4 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
      <p className="font-bold">{why}</p>
      <Button className="mt-2" look="alarm" onClick={() => setRead(why)}>
        {confirm}
      </Button>
    </div>
  );
}
