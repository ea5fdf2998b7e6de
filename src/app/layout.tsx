import type { Metadata, Viewport } from "next";
import { cookies, headers } from "next/headers";
import type { ReactNode } from "react";
import { LIGHT_COOKIE, lightOf } from "@/ui/light";
import { RetryBusy } from "@/features/frame/RetryBusy";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Seed Round", template: "%s · Seed Round" },
  description: "The day's round through a shared garden.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1 };
export const dynamic = "force-dynamic";

// Runs before the first paint: without a choice of one's own the device's dark scheme is taken.
const FIRST_LIGHT = `if(!document.documentElement.dataset.light&&matchMedia("(prefers-color-scheme: dark)").matches)document.documentElement.dataset.light="night"`;

export default async function RootLayout({ children }: { children: ReactNode }) {
  const light = lightOf((await cookies()).get(LIGHT_COOKIE)?.value);
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <html lang="en" data-light={light ?? undefined} suppressHydrationWarning>
      <body>
        {/* A browser hides the nonce of a script from scripts, so that the two sides never see the same. */}
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: FIRST_LIGHT }} />
        <RetryBusy />
        {children}
      </body>
    </html>
  );
}
