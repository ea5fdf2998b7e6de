"use client";
import { PageLink } from "./PageLink";
import { usePathname } from "next/navigation";

/** What a station shows beside its name: how much is to do, or that something is wrong. */
export interface StationSign {
  readonly waits?: number;
  readonly warns?: string;
}

export interface NavStation {
  readonly href: string;
  readonly name: string;
  readonly sign?: StationSign;
}

/** The way round: a pipe run with a diamond valve for each station; on a phone it is at the foot of the page. */
export function PipeNav({ stations }: { stations: readonly NavStation[] }) {
  const path = usePathname();
  return (
    <nav aria-label="Stations" className="no-print">
      <ul className="relative flex md:block">
        <li
          aria-hidden
          className="absolute bg-water max-md:inset-x-0 max-md:top-[15px] max-md:h-[6px] md:bottom-6 md:left-[31px] md:top-[-18px] md:w-[10px]"
        >
          <span className="block size-full md:hidden" />
          <span className="hidden size-full border-l-2 border-dotted border-on-strong/80 md:ml-1 md:block" />
        </li>
        {stations.map((station) => {
          const here = path === station.href || path.startsWith(`${station.href}/`);
          return (
            <li key={station.href} className="relative min-w-0 flex-1 md:mb-[clamp(0.75rem,3.4vh,2rem)]">
              <PageLink
                href={station.href}
                aria-current={here ? "page" : undefined}
                className="flex items-center max-md:flex-col max-md:gap-0.5 max-md:py-1 md:gap-3 md:py-2 md:pl-4"
              >
                <svg viewBox="0 0 40 40" className="size-7 shrink-0 md:size-10" aria-hidden>
                  <path
                    d="M20 3 37 20 20 37 3 20Z"
                    className={here ? "fill-ink stroke-ground" : "fill-sheet stroke-water"}
                    strokeWidth={here ? 3 : 4}
                  />
                </svg>
                <span className={`sign text-xs md:text-xl ${here ? "" : "max-md:text-soft"}`}>{station.name}</span>
                <Sign {...station.sign} />
              </PageLink>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}

function Sign({ waits = 0, warns }: StationSign) {
  const place = "max-md:absolute max-md:right-0.5 max-md:top-0 max-md:scale-90";
  if (warns)
    return (
      <span className={`sign rounded bg-alarm px-2 text-base text-on-strong ${place}`} title={warns}>
        !<span className="sr-only"> {warns}</span>
      </span>
    );
  if (waits > 0)
    return (
      <span className={`sign rounded bg-feed px-1.5 text-base text-on-strong ${place}`}>
        {waits}
        <span className="sr-only"> waiting</span>
      </span>
    );
  return null;
}
