"use client";
import { useState } from "react";
import { STAND_MODELS, type StandKind, type StandSpec } from "@/core/place/kinds";
import { fillHouse, largestFree, USUAL_RULES, type FillRules } from "@/core/place/layout/fillHouse";
import { ACCESSIBLE_AISLE_M, LEAST_AISLE_M } from "@/core/place/linesIntoHouse";
import { houseOptions } from "@/core/place/layout/houseOptions";
import { standFootprint } from "@/core/place/standLayout";
import { plural } from "@/core/place/stand";
import { quantityText } from "@/core/units/format";
import type { Stand } from "@/core/garden/garden";
import type { GrowingAreaRow } from "@/core/garden/garden";
import type { HouseView } from "@/core/garden/placeView";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { nextName } from "./standMoves";
import { addStands, saveGrowingArea } from "@/server/place/actions";
import { FillSummary } from "./FillSummary";
import { HouseOptions } from "./HouseOptions";

export interface FillFormProps {
  readonly view: HouseView;
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly onDone: () => void;
}

/** How many plants the free ground of a house would take, kind by kind; the one chosen is put there on request. */
export function FillForm({ view, growingAreas, loops, onDone }: FillFormProps) {
  const units = useUnits();
  const { house, stands } = view;
  const [kind, setKind] = useState<StandKind>("channel-bank");
  const [clearance, setClearance] = useState<QuantityValue>(USUAL_RULES.clearanceM);
  const [aisle, setAisle] = useState<QuantityValue>(null);
  const [insisted, setInsisted] = useState(false);
  const [chosenGrowingArea, setGrowingAreaId] = useState<number | null>(null);
  // A growing area that was named a moment ago may come in after the form has opened.
  const growingAreaId = chosenGrowingArea ?? growingAreas[0]?.id ?? 0;
  const [loopId, setLoopId] = useState<number | null>(null);
  const [newGrowingArea, setNewGrowingArea] = useState("");
  const { run, busy } = useCommand(addStands, { done: "The house is filled" });
  const growingArea = useCommand(saveGrowingArea, { done: "Growing area saved" });
  const namesGrowingArea = growingAreas.length === 0;
  const unnamed = namesGrowingArea && newGrowingArea.trim() === "";
  const clearanceM =
    typeof clearance === "number" && clearance >= 0 && clearance < 50 ? clearance : USUAL_RULES.clearanceM;
  const rules: FillRules = { ...USUAL_RULES, clearanceM, aisleInsisted: insisted };
  const room = largestFree(
    house,
    stands.map(({ stand }) => standFootprint(stand)),
    clearanceM,
  );
  const options = room ? houseOptions(room, house.lengthM * house.widthM, rules) : [];
  const example = STAND_MODELS[kind].example as StandSpec;
  const wanted = typeof aisle === "number" && aisle >= 0 && aisle <= 20 ? { ...example, aisleM: aisle } : example;
  const filling = room && fillHouse(room, wanted, rules);
  const words = STAND_MODELS[kind].words;
  const fill = async () => {
    const served = namesGrowingArea ? await growingArea.run({ id: null, name: newGrowingArea, cleaningDays: 1 }) : null;
    if (served && !served.ok) return;
    const names: Pick<Stand, "name">[] = stands.map(({ stand }) => stand);
    const added = filling!.stands.map((stand) => {
      const name = names.some((one) => one.name === words.name) ? nextName(words.name, names) : words.name;
      names.push({ name });
      return { ...stand, name, houseId: house.id, growingAreaId: served?.ok ? served.value : growingAreaId, loopId };
    });
    const result = await run({ stands: added });
    if (result.ok) onDone();
  };
  return (
    <div>
      <p className="text-soft">
        {room
          ? `The largest free ground is ${quantityText(room.lengthM, "length", units)} by ${quantityText(room.widthM, "length", units)}. Each kind as its worked example, with aisles:`
          : "There is no free space here."}
      </p>
      <HouseOptions options={options} kind={kind} onKind={setKind} />
      <p className="mt-2 text-sm">{words.about}</p>
      {words.caution && <CautionNote short={words.caution[0]} more={words.caution[1]} />}
      <div className="mt-3 grid grid-cols-2 gap-3">
        <Field label="Clearance along the walls">
          {(aria) => <QuantityInput {...aria} dimension="length" value={clearance} onValue={setClearance} />}
        </Field>
        <Field
          label="Aisle"
          hint={`${quantityText(LEAST_AISLE_M, "length", units)} at least, ${quantityText(ACCESSIBLE_AISLE_M, "length", units)} is accessible`}
        >
          {(aria) => <QuantityInput {...aria} dimension="length" value={aisle ?? example.aisleM} onValue={setAisle} />}
        </Field>
        {namesGrowingArea ? (
          <Field label="Used for a new growing area" hint="germination rack, nursery, leaf bank …">
            {(aria) => (
              <input
                {...aria}
                className="input"
                value={newGrowingArea}
                onChange={(event) => setNewGrowingArea(event.target.value)}
              />
            )}
          </Field>
        ) : (
          <Field label="Used for">
            {(aria) => (
              <select
                {...aria}
                className="input"
                value={growingAreaId}
                onChange={(event) => setGrowingAreaId(Number(event.target.value))}
              >
                {growingAreas.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            )}
          </Field>
        )}
        <Field label="Watered by">
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={loopId ?? 0}
              onChange={(event) => setLoopId(Number(event.target.value) || null)}
            >
              <option value={0}>hand</option>
              {loops.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name} loop
                </option>
              ))}
            </select>
          )}
        </Field>
        {wanted.aisleM < LEAST_AISLE_M && (
          <label className="col-span-full flex min-h-11 items-center gap-3 font-bold">
            <input
              type="checkbox"
              className="size-6 accent-water"
              checked={insisted}
              onChange={(event) => setInsisted(event.target.checked)}
            />
            Keep the aisle that narrow
          </label>
        )}
      </div>
      {filling && <FillSummary filling={filling} room={room} kind={kind} />}
      <div className="mt-3 border-t border-rule pt-3">
        <Button look="strong" disabled={busy || !filling || filling.sites === 0 || unnamed} onClick={() => void fill()}>
          {filling && filling.sites > 0 ? `Fill with ${filling.lines} ${plural(words.line)}` : "Nothing fits"}
        </Button>
        {unnamed && <p className="mt-2 text-sm">Name the growing area first: each stand is used for one.</p>}
      </div>
    </div>
  );
}
