import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { Toaster } from "sonner";
import { stationSigns } from "@/server/round/signs";
import { session } from "@/server/session/session";
import { LIGHT_COOKIE } from "@/ui/light";
import { LightSwitch } from "@/ui/LightSwitch";
import { PipeNav } from "@/ui/PipeNav";
import { ShortcutKeys } from "@/ui/ShortcutKeys";
import { UnitsProvider } from "@/ui/units";

/** The way round the garden, on every page. */
export default async function GardenLayout({ children }: { children: ReactNode }) {
  const who = await session();
  const signs = await stationSigns();
  const light = (await cookies()).get(LIGHT_COOKIE)?.value;
  const chosenLight = light === "night" || light === "paper" ? light : null;
  const stations = [
    { href: "/round", name: "Round", sign: signs.round },
    { href: "/place", name: "Place" },
    { href: "/water", name: "Water", sign: signs.water },
    { href: "/feed", name: "Feed", sign: signs.feed },
    { href: "/growth", name: "Growth" },
    { href: "/batches", name: "Batches", sign: signs.batches },
    { href: "/people", name: "People" },
  ];
  return (
    <UnitsProvider units={who.units}>
      <a href="#sheet" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
        To the sheet
      </a>
      <div className="md:grid md:grid-cols-[176px_1fr] print:block">
        <div className="no-print border-rule bg-ground max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-30 max-md:border-t-2 md:sticky md:top-0 md:h-screen md:border-r">
          <header className="hidden items-start justify-between pb-7 pl-5 pr-1 pt-6 md:flex">
            <div>
              <p className="sign text-2xl">Seed Round</p>
              <p className="text-sm text-soft">{who.gardenName}</p>
            </div>
            <LightSwitch initial={chosenLight} />
          </header>
          <PipeNav stations={stations} />
        </div>
        <main id="sheet" className="relative min-w-0 max-md:pb-20">
          <div className="absolute right-2 top-3 md:hidden">
            <LightSwitch initial={chosenLight} />
          </div>
          {children}
        </main>
      </div>
      <Toaster
        position="bottom-left"
        mobileOffset={{ bottom: 84 }}
        toastOptions={{
          classNames: {
            toast: "!font-text !bg-sheet !text-ink !border-2 !border-ink !rounded !text-base",
            actionButton: "!bg-ink !text-ground",
          },
        }}
      />
      <ShortcutKeys />
    </UnitsProvider>
  );
}
