import type { TrayCropOf } from "@/core/garden/trayNeeds";
import { rackCarries } from "@/core/growth/conveyor";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

interface RackRoomProps {
  readonly crop: TrayCropOf;
  readonly traysPerDay: number;
  /** With those that are being cleaned. */
  readonly places: number;
  readonly inSoak: number;
}

/** Whether a rack has the places of a daily conveyor, what it could carry, and the water that it takes. */
export function RackRoom({ crop, traysPerDay, places, inSoak }: RackRoomProps) {
  const units = useUnits();
  const { rackPlaces, blackoutDays, lightDays, cleaningDays, rinseLPerTray, rinsesPerDay, soakH } = crop;
  const fits = places <= rackPlaces;
  const most = rackCarries(rackPlaces, {
    ...{ daysOnRack: blackoutDays + lightDays, cleaningDays, startEveryDays: 1, halfTrays: crop.halfTrays },
  });
  const waterL = traysPerDay * (blackoutDays + lightDays) * rinseLPerTray * rinsesPerDay;
  return (
    <div>
      <p className={fits ? "" : "font-bold text-alarm"}>
        <span className="sign text-3xl">
          {formatNumber(places, 1)} of {rackPlaces}
        </span>{" "}
        places of the {crop.growingArea.toLowerCase()}
      </p>
      {!fits && (
        <p role="alert" className="font-bold text-alarm">
          {rackPlaces === 0
            ? "No shoots or fodder rack stands there yet."
            : `It carries ${formatNumber(most.traysPerStart, 1)} trays a day: ${quantityText(most.traysPerStart * crop.yieldGPerTray, "mass", units)}.`}
        </p>
      )}
      <p>
        {blackoutDays} {blackoutDays === 1 ? "day" : "days"} in the dark, {lightDays} in the light
        {cleaningDays > 0 && `, ${counted(cleaningDays, "day")} of cleaning`}.
      </p>
      <p>
        {soakH > 0
          ? `Seed soaks ${formatNumber(soakH)} h before, off the rack: for ${formatNumber(inSoak, 1)} ${inSoak === 1 ? "tray" : "trays"} at a time.`
          : "The seed is not soaked."}
      </p>
      {waterL > 0 && (
        <p>
          Rinsed {rinsesPerDay} times a day: {quantityText(waterL, "volume", units)} a day for this crop.{" "}
          {crop.isFodder &&
            "What drains goes to trees, grass or compost: it carries starch and germs, and never back into a feed tank."}
        </p>
      )}
    </div>
  );
}
