import { PageLink } from "@/ui/PageLink";
import { buttonClass } from "@/ui/Button";

/** Before there is a garden: what was typed waits on this device until there is one. */
export function SignUpToKeep() {
  return (
    <>
      <PageLink href="/start" className={buttonClass("go")}>
        Keep it in a garden of your own
      </PageLink>
      <p className="mt-1 text-sm text-soft">What you typed stays here while you sign up.</p>
    </>
  );
}
