"use client";
import Link from "next/link";
import { useRouter, useSearchParams } from "next/navigation";
import { useMemo, type ComponentProps } from "react";

const WHAT_IF = "whatif";
/** Stations of what really happened: a what-if ends there. */
const REAL = /^\/(?:round|people)(?:[/?]|$)/u;

/** An address within the what-if that the page is of. */
export function withinWhatIf(href: string, whatIf: string | null): string {
  if (whatIf === null || REAL.test(href) || href.includes(`${WHAT_IF}=`)) return href;
  const [path, hash] = href.split("#");
  return `${path}${path!.includes("?") ? "&" : "?"}${WHAT_IF}=${whatIf}${hash === undefined ? "" : `#${hash}`}`;
}

export function useWhatIfParam(): string | null {
  return useSearchParams().get(WHAT_IF);
}

/** A link to another sheet; within a what-if it stays in it. Leaving it loads the page anew, so that nothing of it stays. */
export function PageLink({ href, ...rest }: Omit<ComponentProps<typeof Link>, "href"> & { readonly href: string }) {
  const whatIf = useWhatIfParam();
  if (whatIf !== null && REAL.test(href)) {
    const { scroll: _scroll, prefetch: _prefetch, replace: _replace, ...anchor } = rest;
    return <a href={href} {...(anchor as ComponentProps<"a">)} />;
  }
  return <Link href={withinWhatIf(href, whatIf)} {...rest} />;
}

/** The router, staying within the what-if that the page is of. */
export function usePageRouter(): Pick<ReturnType<typeof useRouter>, "push" | "refresh"> {
  const router = useRouter();
  const whatIf = useWhatIfParam();
  return useMemo(
    () => ({
      refresh: () => router.refresh(),
      push: (href, options) => {
        if (whatIf !== null && REAL.test(href)) return window.location.assign(href);
        router.push(withinWhatIf(href, whatIf), options);
      },
    }),
    [router, whatIf],
  );
}
