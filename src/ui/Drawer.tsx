"use client";
import { Dialog } from "radix-ui";
import { X } from "lucide-react";
import type { ReactNode } from "react";

/**
 * A panel that slides in from the right for entering and editing; Escape and the cross close it. On a wide screen the page
 * moves to its left and stays as bright as it is: it is often what one wants to see.
 */
export function Drawer({
  open,
  onClose,
  title,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40 lg:bg-transparent" />
        <Dialog.Content
          aria-describedby={undefined}
          data-drawer
          className="fixed inset-y-0 right-0 z-50 w-full max-w-lg overflow-y-auto border-l-2 border-ink bg-ground p-5 lg:shadow-2xl"
        >
          <div className="mb-4 flex items-start justify-between gap-4 border-b-2 border-ink pb-3">
            <Dialog.Title className="sign text-2xl">{title}</Dialog.Title>
            <Dialog.Close aria-label="Close" className="grid size-11 place-items-center">
              <X aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
