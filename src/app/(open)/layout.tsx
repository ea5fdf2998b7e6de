import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Toaster } from "sonner";
import { METRIC } from "@/core/units/dimensions";
import { PageLink } from "@/ui/PageLink";
import { UnitsProvider } from "@/ui/units";
import { preferencesOf } from "@/server/session/proposals";

/** Open to everybody, signed in or not: no garden is behind it. */
export default async function OpenLayout({ children }: { children: ReactNode }) {
  const units = preferencesOf((await headers()).get("accept-language"));
  return (
    <UnitsProvider units={{ ...METRIC, ...units }}>
      <header className="flex items-baseline justify-between gap-4 px-4 pt-4 md:px-6">
        <p className="sign text-2xl">Seed Round</p>
        <nav aria-label="Doors" className="flex gap-5">
          <PageLink
            href="/sign-in"
            className="sign inline-flex min-h-11 items-center text-lg underline underline-offset-4"
          >
            Sign in
          </PageLink>
        </nav>
      </header>
      <main id="sheet">{children}</main>
      <Toaster position="bottom-left" />
    </UnitsProvider>
  );
}
