import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { Toaster } from "sonner";
import { PasswordAgain } from "@/features/people/PasswordAgain";
import { ExampleBar } from "@/features/people/ExampleBar";
import { YouMenu } from "@/features/people/YouMenu";
import { stationSigns, type Warning } from "@/server/round/signs";
import { warningWords } from "@/features/frame/words";
import { pageSession } from "@/server/session/session";
import { FindButton } from "@/features/frame/FindButton";
import { LIGHT_COOKIE, lightOf } from "@/ui/light";
import { LightSwitch } from "@/ui/LightSwitch";
import { TryButton } from "@/features/frame/whatIf/TryButton";
import { WhatIfBar } from "@/features/frame/whatIf/WhatIfBar";
import { whatIfHead } from "@/server/garden/whatIf/head";
import { Live } from "@/features/frame/Live";
import { PipeNav } from "@/ui/PipeNav";
import { ShortcutKeys } from "@/features/frame/ShortcutKeys";
import { UnitsProvider } from "@/ui/units";
import { WhoProvider } from "@/features/frame/who";

/** The way round the garden, on every page. */
export default async function GardenLayout({ children }: { children: ReactNode }) {
  const who = await pageSession();
  const signs = await stationSigns();
  const warns = (warning: Warning | null) => warningWords(warning, who.units);
  const trying = await whatIfHead();
  const chosenLight = lightOf((await cookies()).get(LIGHT_COOKIE)?.value);
  const stations = [
    { href: "/round", name: "Round", sign: signs.round },
    { href: "/place", name: "Place" },
    { href: "/water", name: "Water", sign: { warns: warns(signs.water.warns) } },
    { href: "/feed", name: "Feed", sign: { waits: signs.feed.waits, warns: warns(signs.feed.warns) } },
    { href: "/growth", name: "Growth" },
    { href: "/batches", name: "Batches", sign: { warns: warns(signs.batches.warns) } },
    { href: "/people", name: "People" },
  ];
  const tools = (
    <>
      <FindButton />
      <LightSwitch initial={chosenLight} />
      <YouMenu name={who.personName} role={who.role} gardenId={who.gardenId} gardens={who.gardens} />
    </>
  );
  return (
    <UnitsProvider units={who.units}>
      <WhoProvider who={{ personId: who.personId, role: who.role, timeZone: who.timeZone, whatIf: trying.present }}>
        <a href="#sheet" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
          Skip to content
        </a>
        <Live />
        <div className="md:grid md:grid-cols-[11rem_1fr] print:block">
          <div className="no-print border-rule bg-ground max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-30 max-md:border-t-2 md:sticky md:top-0 md:h-screen md:border-r">
            <header className="hidden pb-5 pl-5 pr-1 pt-5 md:block">
              <p className="sign text-2xl">Seed Round</p>
              <p className="text-sm text-soft">{who.gardenName}</p>
              <div className="-ml-3 mt-1 flex">{tools}</div>
              <div className="-ml-1 flex">
                <TryButton whatIfs={trying.all} />
              </div>
            </header>
            <PipeNav stations={stations} />
          </div>
          <main id="sheet" className="relative min-w-0 max-md:pb-20">
            <div className="absolute right-1 top-2 z-30 flex md:hidden">
              <TryButton whatIfs={trying.all} />
              {tools}
            </div>
            <WhatIfBar conflicts={trying.conflicts} />
            {who.gardens.some(({ id, example }) => id === who.gardenId && example) && (
              <ExampleBar mayLeave={who.role === "keeper"} hasOthers={who.gardens.length > 1} />
            )}
            {children}
          </main>
        </div>
        <Toaster
          position="bottom-left"
          mobileOffset={{ bottom: 84 }}
          toastOptions={{
            classNames: {
              toast: "!font-text !bg-sheet !text-ink !border-2 !border-ink !rounded !text-base",
              actionButton: "!bg-ink !text-ground !h-10 !px-4 !text-base",
            },
          }}
        />
        <PasswordAgain />
        <ShortcutKeys />
      </WhoProvider>
    </UnitsProvider>
  );
}
