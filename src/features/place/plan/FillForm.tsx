"use client";
import { useState } from "react";
import { STAND_MODELS, type StandKind, type StandSpec } from "@/core/place/kinds";
import { fillHouse, largestFree, USUAL_RULES, type FillRules } from "@/core/place/layout/fillHouse";
import { ACCESSIBLE_AISLE_M, LEAST_AISLE_M } from "@/core/place/linesIntoHouse";
import { houseOptions } from "@/core/place/layout/houseOptions";
import { standFootprint } from "@/core/place/standLayout";
import { plural } from "@/core/place/stand";
import { standWater } from "@/core/place/standWater";
import { quantityText } from "@/core/units/format";
import type { PoolRow, Stand } from "@/server/place/queries";
import type { HouseView } from "@/server/place/view";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { Why } from "@/ui/Why";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/ui/useCommand";
import { nextName } from "./standMoves";
import type { PlanStore } from "./planStore";

export interface FillFormProps {
  readonly view: HouseView;
  readonly pools: readonly PoolRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly store: PlanStore;
  readonly onDone: () => void;
}

/** How many plants the free ground of a house would take, kind by kind; the one chosen is put there on request. */
export function FillForm({ view, pools, loops, store, onDone }: FillFormProps) {
  const units = useUnits();
  const { house, stands } = view;
  const [kind, setKind] = useState<StandKind>("channel-bank");
  const [clearance, setClearance] = useState<QuantityValue>(USUAL_RULES.clearanceM);
  const [aisle, setAisle] = useState<QuantityValue>(null);
  const [insisted, setInsisted] = useState(false);
  const [chosenPool, setPoolId] = useState<number | null>(null);
  // A pool that was named a moment ago may come in after the form has opened.
  const poolId = chosenPool ?? pools[0]?.id ?? 0;
  const [loopId, setLoopId] = useState<number | null>(null);
  const [newPool, setNewPool] = useState("");
  const { run, busy } = useCommand(store.addStands, { done: "The house is filled" });
  const pool = useCommand(store.savePool, { done: "Pool saved" });
  const namesPool = pools.length === 0;
  const unnamed = namesPool && newPool.trim() === "";
  const clearanceM = typeof clearance === "number" && clearance >= 0 && clearance < 50 ? clearance : USUAL_RULES.clearanceM; // prettier-ignore
  const rules: FillRules = { ...USUAL_RULES, clearanceM, aisleInsisted: insisted };
  const room = largestFree(house, stands.map(({ stand }) => standFootprint(stand)), clearanceM); // prettier-ignore
  const options = room ? houseOptions(room, house.lengthM * house.widthM, rules) : [];
  const example = STAND_MODELS[kind].example as StandSpec;
  const wanted = typeof aisle === "number" && aisle >= 0 && aisle <= 20 ? { ...example, aisleM: aisle } : example;
  const filling = room && fillHouse(room, wanted, rules);
  const words = STAND_MODELS[kind].words;
  const fill = async () => {
    const served = namesPool ? await pool.run({ id: null, version: null, name: newPool, cleaningDays: 1 }) : null;
    if (served && !served.ok) return;
    const names: Pick<Stand, "name">[] = stands.map(({ stand }) => stand);
    const added = filling!.stands.map((stand) => {
      const name = names.some((one) => one.name === words.name) ? nextName(words.name, names) : words.name;
      names.push({ name });
      return { ...stand, name, houseId: house.id, poolId: served?.ok ? served.value : poolId, loopId };
    });
    const result = await run({ stands: added });
    if (result.ok) onDone();
  };
  return (
    <div>
      <p className="text-soft">
        {room
          ? `The largest free ground is ${quantityText(room.lengthM, "length", units)} by ${quantityText(room.widthM, "length", units)}. Each kind as its worked example, with aisles:`
          : "Nothing is free here."}
      </p>
      <table className="mt-2 w-full">
        <caption className="sign pb-1 text-left text-xl">How many plants could I grow here?</caption>
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">Kind</th>
            <th className="text-right font-normal">Plants</th>
            <th className="text-right font-normal">a m² of house</th>
            <th className="text-right font-normal">Water held</th>
          </tr>
        </thead>
        <tbody>
          {options.map((option) => (
            <tr key={option.kind} className={`border-t border-rule ${option.kind === kind ? "bg-water-pale" : ""}`}>
              <th scope="row" className="text-left font-normal">
                <button
                  type="button"
                  className="min-h-9 text-left underline"
                  aria-pressed={option.kind === kind}
                  onClick={() => setKind(option.kind)}
                >
                  {STAND_MODELS[option.kind].words.name}
                </button>
              </th>
              <td className="figure text-right">
                {option.filling.sites} <small>{plural(STAND_MODELS[option.kind].words.site)}</small>
              </td>
              <td className="text-right">{option.perM2OfHouse.toFixed(1)}</td>
              <td className="text-right">{option.heldL > 0 ? quantityText(option.heldL, "volume", units) : "–"}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm">{words.about}</p>
      {words.caution && <CautionNote short={words.caution[0]} more={words.caution[1]} />}
      <div className="mt-3 grid grid-cols-2 gap-3">
        <Field label="Kept free along the walls">
          {(aria) => <QuantityInput {...aria} dimension="length" value={clearance} onValue={setClearance} />}
        </Field>
        <Field label="Aisle" hint={`${quantityText(LEAST_AISLE_M, "length", units)} at least, ${quantityText(ACCESSIBLE_AISLE_M, "length", units)} is accessible`}>
          {(aria) => <QuantityInput {...aria} dimension="length" value={aisle ?? example.aisleM} onValue={setAisle} />}
        </Field>
        {namesPool ? (
          <Field label="Serves a new pool" hint="germination rack, nursery, leaf bank …">
            {(aria) => <input {...aria} className="input" value={newPool} onChange={(event) => setNewPool(event.target.value)} />}
          </Field>
        ) : (
        <Field label="Serves">
          {(aria) => (
            <select {...aria} className="input" value={poolId} onChange={(event) => setPoolId(Number(event.target.value))}>
              {pools.map(({ id, name }) => (
                <option key={id} value={id}>{name}</option>
              ))}
            </select>
          )}
        </Field>
        )}
        <Field label="Watered by">
          {(aria) => (
            <select {...aria} className="input" value={loopId ?? 0} onChange={(event) => setLoopId(Number(event.target.value) || null)}>
              <option value={0}>hand</option>
              {loops.map(({ id, name }) => (
                <option key={id} value={id}>{name} loop</option>
              ))}
            </select>
          )}
        </Field>
        {wanted.aisleM < LEAST_AISLE_M && (
          <label className="col-span-full flex min-h-11 items-center gap-3 font-bold">
            <input type="checkbox" className="size-6 accent-water" checked={insisted} onChange={(event) => setInsisted(event.target.checked)} />
            I want the aisle that narrow
          </label>
        )}
      </div>
      {filling && (
        <p className="mt-3 border-l-[6px] border-leaf bg-leaf-pale px-3 py-2" role="status">
          <span className="figure">
            <Why label={`A house full of ${words.name.toLowerCase()}`} how="Lines side by side as long as their widths, gaps and aisles fit; banks end to end with a cross aisle; the better of the two directions. Each line is counted as in a stand." inputs={[["free ground", `${quantityText(room.lengthM, "length", units)} × ${quantityText(room.widthM, "length", units)}`], [plural(words.line), String(filling.lines)], ["stands", String(filling.stands.length)]]}>
              {filling.sites}
            </Why>
          </span> {plural(words.site)}: {filling.lines} {plural(words.line)} in {filling.stands.length}{" "}
          {filling.stands.length === 1 ? "stand" : "stands"}
          {filling.stands.some(({ spec }) => standWater(spec).drainBackL > 0) && `, ${quantityText(filling.stands.reduce((sum, { spec }) => sum + standWater(spec).drainBackL, 0), "volume", units)} run back`}
          {filling.aisleRaised && `; the aisle is made ${quantityText(LEAST_AISLE_M, "length", units)}`}
        </p>
      )}
      <div className="mt-3 border-t border-rule pt-3">
        <Button look="strong" disabled={busy || !filling || filling.sites === 0 || unnamed} onClick={() => void fill()}>
          {filling && filling.sites > 0 ? `Fill with ${filling.lines} ${plural(words.line)}` : "Nothing fits"}
        </Button>
        {unnamed && <p className="mt-2 text-sm">Name the pool first: a stand serves one.</p>}
      </div>
    </div>
  );
} // prettier-ignore
