"use client";
import { dayInWords } from "@/core/units/day";
import type { SaltRow } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Quantity } from "@/ui/units";
import { useOpened } from "@/features/frame/drafts";
import { Only } from "@/features/frame/who";
import { Why } from "@/ui/Why";
import { later } from "@/ui/later";

const SaltForm = later(() => import("./SaltForm").then((part) => part.SaltForm));

interface Use {
  readonly saltId: number;
  readonly wantedG: number;
  readonly availableG: number;
  readonly firstShort: { readonly day: number; readonly grams: number } | null;
}

/** The salt shelf: what is there, what the plan takes, and when it is empty. */
export function ShelfSheet({ salts, uses }: { salts: readonly SaltRow[]; uses: readonly Use[] }) {
  const [editing, setEditing] = useOpened<number | "new">("shelf");
  const salt = salts.find(({ id }) => id === editing);
  return (
    <>
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead className="text-left text-sm text-soft">
            <tr>
              <th className="font-normal">salt</th>
              <th className="text-right font-normal">on the shelf</th>
              <th className="text-right font-normal">the plan takes</th>
              <th className="pl-6 font-normal">empty</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {salts.map((salt) => {
              const use = uses.find((candidate) => candidate.saltId === salt.id);
              return (
                <tr key={salt.id} className="border-t border-rule">
                  <td className="py-1">
                    {salt.name}{" "}
                    <span className="text-sm text-soft">
                      {Object.entries(salt.percent)
                        .map(([nutrient, percent]) => `${nutrient} ${percent}`)
                        .join(", ")}{" "}
                      %
                    </span>
                  </td>
                  <td className="figure !text-xl text-right">
                    <Quantity value={salt.onHandG} dimension="mass" />
                  </td>
                  <td className="figure !text-xl text-right">
                    {use && use.wantedG > 0 ? (
                      <Why
                        label={`${salt.name}: what the plan takes`}
                        how="Litres that each loop's plants drink over the plan × grams a litre of its recipe."
                      >
                        <Quantity value={use.wantedG} dimension="mass" />
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
        </Button>
      </Only>
      <Drawer
        open={editing !== null}
        onClose={() => setEditing(null)}
        title={editing === "new" ? "New salt" : "Change the salt"}
      >
        {editing !== null && <SaltForm salt={salt ?? null} onDone={() => setEditing(null)} />}
      </Drawer>
    </>
  );
}
