"use client";
import { CircleUserRound } from "lucide-react";
import { useRouter } from "next/navigation";
import { DropdownMenu } from "radix-ui";
import { switchGarden } from "@/server/people/accountActions";
import { signOut } from "@/server/people/doorActions";
import type { HomeGarden } from "@/server/people/queries";
import { useCommand } from "@/ui/useCommand";

const ITEM =
  "flex min-h-11 cursor-pointer items-center gap-2 px-3 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-ground";

/** Who is at work here, and the gardens where they are at home. */
export function YouMenu({
  name,
  role,
  gardenId,
  gardens,
}: {
  name: string;
  role: string;
  gardenId: number;
  gardens: readonly HomeGarden[];
}) {
  const router = useRouter();
  const { run } = useCommand(switchGarden);
  const go = async (id: number) => {
    const result = await run({ gardenId: id });
    if (result.ok) router.push("/round");
  };
  const leave = async () => {
    await signOut({});
    // A full load: nothing of the garden stays in this tab.
    location.replace(new URL("/sign-in", location.href));
  };
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`You: ${name}, ${role}`}
        className="no-print grid size-11 place-items-center text-soft"
      >
        <CircleUserRound aria-hidden className="size-5" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          collisionPadding={8}
          className="z-50 min-w-56 border-2 border-ink bg-sheet shadow-lg"
        >
          <DropdownMenu.Label className="border-b border-rule px-3 py-2">
            <span className="sign block text-lg">{name}</span>
            <span className="text-sm text-soft">{role}</span>
          </DropdownMenu.Label>
          {gardens.length > 1 &&
            gardens.map((garden) => (
              <DropdownMenu.Item
                key={garden.id}
                className={ITEM}
                disabled={garden.id === gardenId}
                onSelect={() => void go(garden.id)}
              >
                {garden.id === gardenId ? `In ${garden.name}` : `To ${garden.name}`}
              </DropdownMenu.Item>
            ))}
          <DropdownMenu.Item className={ITEM} onSelect={() => router.push("/people/you")}>
            Your account
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => void leave()}>
            Sign out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
