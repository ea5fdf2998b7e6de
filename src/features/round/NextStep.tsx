import type { NextStep as Step } from "@/core/garden/nextStep";
import { dayInWords } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import { buttonClass } from "@/ui/Button";
import { PageLink } from "@/ui/PageLink";

interface Way {
  readonly href: string;
  readonly words: string;
}

interface Said {
  readonly title: string;
  readonly words: string;
  readonly ways: readonly Way[];
}

/** The next step of a garden in which nothing grows yet. */
export function NextStep({ step }: { readonly step: Step }) {
  const { title, words, ways } = said(step);
  return (
    <section aria-label="Next step" className="mb-6 max-w-2xl border-l-[6px] border-leaf bg-leaf-pale px-4 py-3">
      <h2 className="text-2xl">{title}</h2>
      <p className="mt-1">{words}</p>
      <p className="mt-3 flex flex-wrap gap-2">
        {ways.map(({ href, words: way }, index) => (
          <PageLink key={href} href={href} className={buttonClass(index === 0 ? "go" : "plain")}>
            {way}
          </PageLink>
        ))}
      </p>
    </section>
  );
}

function said(step: Step): Said {
  switch (step.kind) {
    case "what-have-you-got":
      return {
        title: "What have you got?",
        words: "Tell your channels, beds or buckets in a few sentences; they are drawn to scale while you type.",
        ways: [
          { href: "/place/setup", words: "Tell what I have" },
          { href: "/people/examples", words: "Open an example garden" },
          { href: "/round/answers", words: "A quick answer first" },
        ],
      };
    case "first-crop":
      return {
        title: "What will you grow?",
        words: `There is room for ${formatNumber(step.sites)} plants. Take a crop from the library: its days, seed and bands come with it.`,
        ways: [
          { href: "/growth", words: "Choose a crop" },
          { href: "/round/answers?q=sow", words: "When do I sow?" },
        ],
      };
    case "first-batch":
      return {
        title: `When shall the first ${step.crop.toLowerCase()} be sown?`,
        words: "Add a batch for a day that you want to pick on, or say what you pick each week.",
        ways: [
          { href: "/batches", words: "Add a batch" },
          { href: "/batches/orders", words: "What I pick each week" },
          { href: "/round/answers?q=sow", words: "When do I sow?" },
        ],
      };
    case "first-sowing":
      return {
        title:
          step.days === 0
            ? `Sow ${step.crop.toLowerCase()} today`
            : `${dayInWords(step.day, "long")}: sow ${step.crop.toLowerCase()}`,
        words:
          step.days === 0
            ? "It stands in the walk below; tick it when it is done."
            : `In ${counted(step.days, "day")}. It comes into the walk by itself.`,
        ways: [{ href: "/batches", words: "See the season" }],
      };
  }
}
