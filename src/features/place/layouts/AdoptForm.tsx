"use client";
import Link from "next/link";
import { dayInWords } from "@/core/units/day";
import { adoptLayout } from "@/server/place/layoutActions";
import { Button } from "@/ui/Button";
import { useCommand } from "@/ui/useCommand";
import type { ChosenLayout } from "./LayoutSheet";

/** What would change, which batches would lack places, and only then the act itself. */
export function AdoptForm({ chosen, onDone }: { chosen: ChosenLayout; onDone: () => void }) {
  const { adoption } = chosen;
  const { run, busy } = useCommand(adoptLayout, { done: `${chosen.name} is adopted` });
  const parts = [
    ["Comes new", adoption.added],
    ["Changes", adoption.changed],
    ["Is taken away", adoption.removed],
    ["New houses", adoption.addedHouses],
    ["Houses that change", adoption.changedHouses],
    ["Houses taken away", adoption.removedHouses],
    ["New pools", adoption.newPools],
  ] as const;
  const nothing = parts.every(([, names]) => names.length === 0);
  const adopt = async () => {
    const result = await run({ id: chosen.id, version: chosen.version });
    if (result.ok) onDone();
  };
  return (
    <div>
      {nothing && <p>It is the garden as it stands already.</p>}
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {parts
          .filter(([, names]) => names.length > 0)
          .map(([label, names]) => (
            <div key={label} className="contents">
              <dt className="text-soft">{label}</dt>
              <dd>{names.join("; ")}</dd>
            </div>
          ))}
      </dl>
      {adoption.displaced.length === 0 ? (
        <p className="mt-4 border-l-[6px] border-leaf bg-leaf-pale px-3 py-2 font-bold">
          Every batch of the plan has its places.
        </p>
      ) : (
        <section className="mt-4" aria-label="Batches that no longer fit">
          <p className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
            {adoption.displaced.length === 1 ? "One stay of a batch" : `${adoption.displaced.length} stays of batches`} would
            not fit any more. None is lost: they stand above capacity in the season until you move them.
          </p>
          <div className="mt-2 max-h-[48vh] overflow-y-auto border-b border-rule">
          <table className="w-full text-sm">
            <thead className="text-left text-soft">
              <tr>
                <th className="font-normal">Batch</th>
                <th className="font-normal">Pool</th>
                <th className="font-normal">From</th>
                <th className="text-right font-normal">Without a place</th>
              </tr>
            </thead>
            <tbody>
              {adoption.displaced.map((one) => (
                <tr key={`${one.batchId} ${one.poolName}`} className="border-t border-rule">
                  <td className="py-1">
                    <Link href={`/batches?batch=${one.batchId}`} className="underline">
                      {one.variety} of {dayInWords(one.sownOn)}
                    </Link>
                  </td>
                  <td>{one.poolName}</td>
                  <td>{dayInWords(one.from)}</td>
                  <td className="text-right">
                    {one.over} of {one.plants}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          </div>
        </section>
      )}
      <div className="mt-4 border-t border-rule pt-3">
        <Button look="strong" disabled={busy || nothing} onClick={() => void adopt()}>
          {adoption.displaced.length > 0 ? "Adopt all the same" : "Adopt it"}
        </Button>
        <p className="mt-2 text-sm text-soft">It takes the place of the garden as it stands, and can be taken back.</p>
      </div>
    </div>
  );
} // prettier-ignore
