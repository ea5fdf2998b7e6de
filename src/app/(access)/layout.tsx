import type { ReactNode } from "react";
import { Toaster } from "sonner";
import { UnitsProvider } from "@/ui/units";
import { METRIC } from "@/core/units/dimensions";

/** Before anybody is signed in: one page, without the navigation. */
export default function AccessLayout({ children }: { children: ReactNode }) {
  return (
    <UnitsProvider units={METRIC}>
      <main className="mx-auto max-w-xl px-4 py-8 md:py-14">
        <p className="sign mb-6 text-2xl">Seed Round</p>
        {children}
      </main>
      <Toaster position="bottom-left" />
    </UnitsProvider>
  );
}
