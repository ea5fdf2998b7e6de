import { toldKind, type ToldKindName } from "@/core/place/told/kinds";

/** How stands of a kind are told; names in braces are blanks. */
const TOLD: Readonly<Record<ToldKindName, string>> = {
  channels: "{lines} {kind} of {lengthM} with a plant every {spacingM}",
  pipes: "{lines} {kind} of {lengthM}, {pipeM} inside, with a plant every {spacingM}",
  buckets: "{lines} {kind} of {volumeL} with {plants} in each",
  beds: "{lines} {kind} of {lengthM} by {widthM} with a plant every {spacingM}",
  rafts: "{lines} {kind} of {lengthM} by {widthM} with a plant every {spacingM}",
  towers: "{lines} {kind} of {tiers} tiers with {plants} plants on each",
  seedTrays: "{lines} shelves with {trays} {kind} on each, {cells} cells in a tray",
  shootTrays: "{lines} shelves with {trays} {kind} on each",
  floodBenches: "{lines} {kind} of {lengthM} by {widthM} with a plant every {spacingM}",
  mediaBeds: "{lines} {kind} of {lengthM} by {widthM} with a plant every {spacingM}",
  wickingBeds: "{lines} {kind} of {lengthM} by {widthM} with a plant every {spacingM}",
};

/** What is told besides where all of it is asked. */
const MORE: Partial<Record<ToldKindName, string>> = {
  channels: ", the first {endM} from the end, and a path between every {pathEvery}",
  buckets: ", and {emitters} drippers of {emitterLph} on each",
};

/** The sentence of a kind. @param more also what usually goes by itself */
export function toldTemplate(kind: ToldKindName, more: boolean): string {
  return TOLD[kind] + (more ? (MORE[kind] ?? "") : "");
}

/** The measures that a sentence about stands of a kind asks for. */
export function toldMeasures(kind: ToldKindName, more: boolean, without: readonly string[] = []) {
  const template = toldTemplate(kind, more);
  return toldKind(kind).measures.filter(({ name }) => template.includes(`{${name}}`) && !without.includes(name));
}
