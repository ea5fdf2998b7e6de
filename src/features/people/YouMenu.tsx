"use client";
import { CircleUserRound } from "lucide-react";
import { useRouter } from "next/navigation";
import { v4 as newId } from "uuid";
import { Popover } from "radix-ui";
import { switchGarden } from "@/server/people/accountActions";
import { signOut } from "@/server/people/accessActions";
import type { Session } from "@/server/session/session";
import { useCommand } from "@/features/frame/useCommand";

const ITEM =
  "flex min-h-11 w-full items-center px-3 text-left hover:bg-ink hover:text-ground focus-visible:bg-ink focus-visible:text-ground disabled:text-soft disabled:hover:bg-transparent";

/** Who is signed in, and the gardens they are a member of. */
export function YouMenu({
  name,
  role,
  gardenId,
  gardens,
}: {
  name: string;
  role: string;
  gardenId: number;
  gardens: Session["gardens"];
}) {
  const router = useRouter();
  const { run } = useCommand(switchGarden);
  const go = async (id: number) => {
    const result = await run({ gardenId: id });
    if (result.ok) router.push("/round");
  };
  const leave = async () => {
    await signOut({}, newId());
    // A full load: nothing of the garden stays in this tab.
    location.replace(new URL("/sign-in", location.href));
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`You: ${name}, ${role}`}
        className="no-print grid size-11 place-items-center text-soft"
      >
        <CircleUserRound aria-hidden className="size-5" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          collisionPadding={8}
          aria-label="You"
          className="z-50 min-w-56 border-2 border-ink bg-sheet shadow-lg"
        >
          <p className="border-b border-rule px-3 py-2">
            <span className="sign block text-lg">{name}</span>
            <span className="text-sm text-soft">{role}</span>
          </p>
          {gardens.length > 1 &&
            gardens.map((garden) => (
              <Popover.Close
                key={garden.id}
                className={ITEM}
                disabled={garden.id === gardenId}
                onClick={() => void go(garden.id)}
              >
                {garden.id === gardenId ? `In ${garden.name}` : `To ${garden.name}`}
              </Popover.Close>
            ))}
          <Popover.Close className={ITEM} onClick={() => router.push("/people/you")}>
            Your account
          </Popover.Close>
          <Popover.Close className={ITEM} onClick={() => void leave()}>
            Sign out
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
