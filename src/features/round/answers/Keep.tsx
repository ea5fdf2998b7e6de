"use client";
import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { useCommand } from "@/features/frame/useCommand";
import type { Action } from "@/server/session/result";
import { Button } from "@/ui/Button";
import type { AnswerContext } from "./context";
import { SignUpToKeep } from "./SignUpToKeep";

/** Makes the rows of an answer and opens them; without a garden it leads to one. */
export function Keep<Value>({
  garden,
  isGood,
  action,
  input,
  goTo,
  makes,
  children,
}: {
  readonly garden: AnswerContext["garden"];
  readonly isGood: boolean;
  readonly action: Action<Value>;
  readonly input: () => unknown;
  /** Where what was made is seen. */
  readonly goTo: (made: Value) => string;
  /** What it makes, in words. */
  readonly makes?: string;
  /** What is asked before it is kept. */
  readonly children?: ReactNode;
}) {
  const router = useRouter();
  const [refused, setRefused] = useState<string | null>(null);
  const { run, busy } = useCommand(action, { done: "Kept in the garden" });
  if (!garden) return <SignUpToKeep />;
  if (!garden.mayPlan) return null;
  const keep = async () => {
    const result = await run(input());
    setRefused(result.ok ? null : result.message);
    if (result.ok) router.push(goTo(result.value));
  };
  return (
    <div>
      {children}
      <Button look="go" disabled={!isGood || busy} onClick={() => void keep()}>
        Keep in the garden
      </Button>
      {makes && <p className="mt-1 text-sm text-soft">{makes}</p>}
      {refused && (
        <p role="alert" className="mt-2 font-bold text-alarm">
          {refused}
        </p>
      )}
    </div>
  );
}
