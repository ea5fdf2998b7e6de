"use client";
import { useRouter } from "next/navigation";
import { useCommand } from "@/features/frame/useCommand";
import { keepExample, leaveExample } from "@/server/people/examples";
import { Button } from "@/ui/Button";

/** Over every sheet of an example: what it is, and the way out of it. */
export function ExampleBar({ mayLeave, hasOthers }: { readonly mayLeave: boolean; readonly hasOthers: boolean }) {
  const router = useRouter();
  const leaving = useCommand(leaveExample, { undo: false });
  const keeping = useCommand(keepExample, { done: "It is yours now", undo: false });
  if (!mayLeave) return null;
  const leave = async () => {
    const result = await leaving.run({});
    if (result.ok) router.push("/round");
  };
  return (
    <section
      aria-label="Example garden"
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-rule bg-leaf-pale px-4 py-2 max-md:pt-14 md:px-6"
    >
      <p className="min-w-0 flex-1 basis-60">
        <b className="sign text-lg">An example, made up.</b> Try everything; nothing of it touches your own garden.
      </p>
      {hasOthers && (
        <Button disabled={leaving.busy} onClick={() => void leave()}>
          Leave and delete it
        </Button>
      )}
      <Button look="quiet" disabled={keeping.busy} onClick={() => void keeping.run({})}>
        Keep it as mine
      </Button>
    </section>
  );
}
