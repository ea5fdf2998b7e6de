import type { RackEvent } from "@/core/garden/rackView";
import type { UnitPreferences } from "@/core/units/dimensions";
import { counted, formatNumber, quantityText } from "@/core/units/format";

/** What happens to a batch on its rack, in words. */
export function eventWords(event: RackEvent, units: UnitPreferences): string {
  const { variety, cells, inTrays } = event;
  const what = inTrays ? counted(cells, "tray") : counted(cells, "cell");
  switch (event.kind) {
    case "soak":
      return `Soak ${quantityText(event.seedG!, "mass", units)} of ${variety} for ${formatNumber(event.soakH!)} h, off the rack; it is sown when they are over.`;
    case "sow":
      return `Sow ${variety}: ${what}, ${quantityText(event.seedG!, "mass", units)} of seed.`;
    case "uncover":
      return `Uncover ${variety}: ${what} should be up; light on.`;
    case "light":
      return `${variety} out of the dark: ${what} into the light.`;
    case "leave":
      return event.goesTo === null
        ? `Cut ${variety}: ${what}.`
        : `Move ${variety} to ${event.goesTo!.toLowerCase()}: ${counted(cells, "plant")}.`;
  }
}
