"use client";
import { dayInWords, type Day } from "@/core/units/day";
import { formatNumber } from "@/core/units/format";
import type { SaltRow } from "@/core/garden/garden";
import { lotsLeft, MORE_SALTS, SALT_LIBRARY } from "@/core/feed/salts";
import { addLibrarySalt } from "@/server/feed/library";
import { SaltAmount } from "./SaltAmount";
import { LibraryList } from "@/features/frame/LibraryList";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { useWhatIfParam, withinWhatIf } from "@/ui/PageLink";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const SaltsImport = later(() => import("./SaltsImport").then((part) => part.SaltsImport));
const SaltForm = later(() => import("./SaltForm").then((part) => part.SaltForm));

const TITLES: Readonly<Record<string, string>> = {
  new: "New salt",
  file: "Bring in a file of salts",
  library: "Salts of the library",
};

/** "NO3-N 13.85, K 38.67 %" */
function contentWords(percent: SaltRow["percent"]): string {
  if (Object.keys(percent).length === 0) return "content not told";
  return `${Object.entries(percent)
    .map(([nutrient, share]) => `${nutrient} ${formatNumber(share, 2)}`)
    .join(", ")} %`;
}

interface Use {
  readonly saltId: number;
  readonly wantedG: number;
  readonly availableG: number;
  readonly firstShort: { readonly day: Day; readonly grams: number; readonly orderBy: Day } | null;
}

/** The salt shelf: what is there, what the plan takes, and when it is empty. */
export function ShelfSheet({
  salts,
  uses,
  today,
}: {
  readonly salts: readonly SaltRow[];
  readonly uses: readonly Use[];
  readonly today: Day;
}) {
  const [editing, setEditing] = useOpened<number | "new" | "file" | "library">("shelf");
  const whatIf = useWhatIfParam();
  const salt = salts.find(({ id }) => id === editing);
  return (
    <>
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead className="text-left text-sm text-soft">
            <tr>
              <th className="font-normal">salt</th>
              <th className="text-right font-normal">on the shelf</th>
              <th className="pl-4 text-right font-normal">the plan takes</th>
              <th className="pl-6 font-normal">empty</th>
              <th className="pl-6 font-normal">order by</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {salts.map((salt) => {
              const use = uses.find((candidate) => candidate.saltId === salt.id);
              return (
                <tr key={salt.id} className="border-t border-rule">
                  <td className="py-1">
                    {salt.name} <span className="text-sm text-soft">{contentWords(salt.percent)}</span>
                    <LotInUse lots={salt.lots} />
                    {salt.caution && salt.onHandG > 0 && (
                      <span className="block text-sm text-soft">{salt.caution}</span>
                    )}
                  </td>
                  <td className="figure !text-xl pl-4 text-right whitespace-nowrap">
                    <SaltAmount salt={salt} grams={salt.onHandG} />
                  </td>
                  <td className="figure !text-xl pl-4 text-right whitespace-nowrap">
                    {use && use.wantedG > 0 ? (
                      <Why
                        label={`${salt.name}: what the plan takes`}
                        how="Litres that each loop's plants drink over the plan × grams a litre of its recipe."
                      >
                        <SaltAmount salt={salt} grams={use.wantedG} />
                      </Why>
                    ) : (
                      "–"
                    )}
                  </td>
                  <td className={`whitespace-nowrap pl-6 ${use?.firstShort ? "font-bold text-alarm" : "text-soft"}`}>
                    {use?.firstShort
                      ? `from ${dayInWords(use.firstShort.day, "year")}`
                      : use && use.wantedG > 0
                        ? "lasts"
                        : ""}
                  </td>
                  <td className="whitespace-nowrap pl-6">
                    {use?.firstShort && (
                      <span className={use.firstShort.orderBy <= today ? "font-bold text-alarm" : ""}>
                        {use.firstShort.orderBy <= today ? "now" : dayInWords(use.firstShort.orderBy, "year")}
                      </span>
                    )}
                  </td>
                  <td className="text-right">
                    <Only right="plan">
                      <Button
                        look="quiet"
                        className="!min-h-9 !text-base"
                        aria-label={`Change ${salt.name}`}
                        onClick={() => setEditing(salt.id)}
                      >
                        Change
                      </Button>
                    </Only>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Only right="plan">
        <Button className="mt-4" data-key="n" onClick={() => setEditing("new")}>
          New salt
        </Button>{" "}
        <Button className="mt-4" onClick={() => setEditing("library")}>
          A salt from the library
        </Button>{" "}
        <Button className="mt-4" onClick={() => setEditing("file")}>
          Bring in a file
        </Button>
      </Only>{" "}
      <a
        className="no-print inline-flex min-h-11 items-center px-2 underline"
        href={withinWhatIf("/feed/salts.csv", whatIf)}
        download
      >
        All salts as CSV
      </a>
      <Drawer
        open={editing !== null}
        onClose={() => setEditing(null)}
        title={TITLES[String(editing)] ?? "Change the salt"}
      >
        {editing === "file" && <SaltsImport onDone={() => setEditing(null)} />}
        {editing === "library" && (
          <LibraryList
            items={[...SALT_LIBRARY, ...MORE_SALTS].map(({ name, percent, caution }) => ({
              name,
              about: contentWords(percent),
              from: caution ?? "Percent by mass.",
            }))}
            there={salts.map(({ name }) => name)}
            action={addLibrarySalt}
          />
        )}
        {(editing === "new" || typeof editing === "number") && (
          <SaltForm salt={salt ?? null} today={today} onDone={() => setEditing(null)} />
        )}
      </Drawer>
    </>
  );
}

/** The lot that is open, or the one that would be opened next. */
function LotInUse({ lots }: Pick<SaltRow, "lots">) {
  const [lot] = lotsLeft(lots);
  if (!lot) return null;
  return (
    <span className="block text-sm">
      lot {lot.name}, {lot.openedOn === null ? "not opened yet" : `opened ${dayInWords(lot.openedOn, "year")}`}
    </span>
  );
}
