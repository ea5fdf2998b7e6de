"use client";
import { saveLoop } from "@/server/water/actions";
import type { Loop } from "@/server/water/queries";
import { loopSchema } from "@/server/water/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { PumpFields } from "./PumpFields";
import { TimerFields } from "./TimerFields";

interface Named {
  readonly id: number;
  readonly name: string;
}

const isWaste = (values: { kind: string }) => values.kind === "run-to-waste";
const hasInjector = (values: { feeding: string }) => values.feeding === "injector";
const hasStocks = (values: { feeding: string }) => values.feeding !== "dry";

function fieldsOf(recipes: readonly Named[], sources: readonly Named[]): FieldSpec[] {
  const options = (rows: readonly Named[]) => [
    { value: null, label: "none yet" },
    ...rows.map((row) => ({ value: row.id, label: row.name })),
  ];
  return [
    { name: "name", label: "Name", type: "text" },
    { name: "kind", label: "Kind", type: "choice", options: [{ value: "recirculating", label: "recirculating" }, { value: "run-to-waste", label: "run to waste" }] },
    { name: "tankL", label: "Tank, to the rim", type: "quantity", dimension: "volume" },
    { name: "workingL", label: "Working volume", type: "quantity", dimension: "volume" },
    { name: "drainShare", label: "Share that drains", type: "quantity", dimension: "share", when: isWaste },
    { name: "turns", label: "Banks run in turns", type: "quantity", dimension: "count", hint: "1: all at once" },
    { name: "recipeId", label: "Recipe", type: "choice", options: options(recipes) },
    { name: "sourceId", label: "Filled from", type: "choice", options: options(sources) },
    { name: "feeding", label: "Fed by", type: "choice", options: [{ value: "injector", label: "injector with stocks A and B" }, { value: "stocks", label: "stocks A and B by hand" }, { value: "dry", label: "dry salts by hand" }] },
    { name: "ratioR", label: "Ratio, 1 to", type: "quantity", dimension: "ratio", when: hasStocks },
    { name: "ratioConvention", label: "The ratio means", type: "choice", when: hasStocks, options: [{ value: "in", label: "1 part in so many of outflow" }, { value: "to", label: "1 part to so many of water" }] },
    { name: "injectorLeastLph", label: "Injector, least flow", type: "quantity", dimension: "flow", when: hasInjector },
    { name: "injectorGreatestLph", label: "Injector, greatest flow", type: "quantity", dimension: "flow", when: hasInjector },
    { name: "coldestC", label: "Coldest place of the stocks", type: "quantity", dimension: "temperature", when: hasStocks },
    { name: "acid", label: "Acid for pH", type: "choice", options: [{ value: "citric", label: "citric (eaten by microbes within days)" }, { value: "phosphoric", label: "phosphoric 75 % (adds P)" }] },
    { name: "readEveryDays", label: "Read every", type: "quantity", dimension: "days" },
  ]; // prettier-ignore
}

const EXAMPLE = {
  id: null, version: null, name: "", kind: "recirculating", feeding: "stocks", tankL: 750, workingL: 600, drainShare: 0, turns: 1, recipeId: null, sourceId: null,
  ratioR: 100, ratioConvention: "in", injectorLeastLph: null, injectorGreatestLph: null, acid: "citric", coldestC: 10, readEveryDays: 1,
  timer: { kind: "continuous" },
  pump: { points: [{ flowLph: 0, headM: 5 }, { flowLph: 3000, headM: 3 }, { flowLph: 5500, headM: 1 }], highestOutletM: 1.2, lowestWaterM: 0.2, headWantedM: 0, pipeLengthM: 10, boreMm: 26.2, fittingsK: 8 },
}; // prettier-ignore

export function LoopForm({
  loop,
  recipes,
  sources,
  onDone,
}: {
  loop: Loop | null;
  recipes: readonly Named[];
  sources: readonly Named[];
  onDone: () => void;
}) {
  const { position: _position, ...own } = loop ?? { ...EXAMPLE, position: 0 };
  return (
    <EntityForm
      schema={loopSchema}
      fields={fieldsOf(recipes, sources)}
      defaults={own}
      action={saveLoop}
      saved="Loop saved"
      onDone={onDone}
    >
      <TimerFields />
      <PumpFields />
    </EntityForm>
  );
}
