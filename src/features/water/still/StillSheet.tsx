"use client";
import { useMemo } from "react";
import { STAND } from "@/core/garden/entities/place";
import { stillAnswer, type StillStand } from "@/core/garden/stillWater";
import { vesselOf } from "@/core/place/stillVessel";
import { FLOAT_VALVE, FLOAT_VALVE_MEASURES, number, type FloatValve } from "@/core/place/kinds/shared";
import { standCounts } from "@/core/place/standCounts";
import { PEAK_HOUR_SHARE } from "@/core/water/stillTank";
import { counted, editText, formatNumber, percentText, quantityText } from "@/core/units/format";
import { inText } from "@/core/units/rounded";
import { formValues } from "@/features/frame/form/formValues";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { saveStand } from "@/server/place/actions";
import { Sentence } from "@/ui/blank/Sentence";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Figure } from "../Figure";
import { StillPicture } from "./StillPicture";

const EVAPORATION = number("evaporationMm", "Open water loses a day", "rain", 0, 30);
const NEED = number("needLpd", "Its plants drink a day", "volume", 0, 100_000);
const PEAK = number("peakHourShare", "Of a day's draw, in its thirstiest hour", "share", 1 / 24, 1);
const MEASURES = [...FLOAT_VALVE_MEASURES, NEED, EVAPORATION, PEAK];
const FLOAT_NAMES = Object.keys(FLOAT_VALVE) as readonly (keyof FloatValve)[];
/** Where the climate is not told: a warm day. */
const USUAL_MM = 4;
/** Where nothing stands: a leaf crop on such a day. */
const USUAL_LPD = 0.25;

export interface StillSheetProps {
  readonly stands: readonly { readonly id: number; readonly name: string }[];
  readonly shown: StillStand | null;
}

/** Still water with a float valve, or filled by hand: what it draws, how long it stands, whether the float keeps up. */
export function StillSheet({ stands, shown }: StillSheetProps) {
  const units = useUnits();
  if (!shown)
    return (
      <Empty
        title="No still water yet"
        example={inText(
          "Wicking beds, and ponds with rafts that no pump moves, are looked at here: for instance a bed of {2.4 m} by {1 m} over {20 cm} of gravel, with a float valve.",
          units,
        )}
      />
    );
  return (
    <>
      {stands.length > 1 && <Picker href="/water/still" query="stand" rows={stands} chosen={shown.stand.id} />}
      <Still key={`${shown.stand.id} ${JSON.stringify(shown.spec)}`} shown={shown} />
    </>
  );
}

function Still({ shown: { stand, spec, needLpd, plants, evaporationMm } }: { shown: StillStand }) {
  const units = useUnits();
  const givenMm = evaporationMm ?? USUAL_MM;
  const isEmpty = needLpd === 0;
  const givenLpd = isEmpty ? (USUAL_LPD * standCounts(spec).sites) / vesselOf(spec).vessels : needLpd;
  const first = useMemo(
    () =>
      Object.fromEntries(
        MEASURES.map(({ name, dimension }) => {
          const own = { [NEED.name]: givenLpd, [EVAPORATION.name]: givenMm, [PEAK.name]: PEAK_HOUR_SHARE };
          return [name, editText(own[name] ?? spec[name as keyof FloatValve], dimension, units)];
        }),
      ),
    [spec, givenLpd, givenMm, units],
  );
  const blanks = useBlanks(`draft:still:${stand.id}:${JSON.stringify(spec)}`, MEASURES, first, units);
  const { good, problems } = blanks;
  const tried = useMemo(() => {
    const own = FLOAT_VALVE_MEASURES.flatMap(({ name }) => (good[name] === undefined ? [] : [[name, good[name]]]));
    return { ...spec, ...Object.fromEntries(own) } as typeof spec;
  }, [spec, good]);
  const vessel = vesselOf(spec);
  const drunkLpd = good[NEED.name] ?? givenLpd;
  const peakShare = good[PEAK.name] ?? PEAK_HOUR_SHARE;
  const answer = stillAnswer(tried, drunkLpd, good[EVAPORATION.name] ?? givenMm, peakShare);
  const isOther = FLOAT_NAMES.some((name) => Math.abs(tried[name] - spec[name]) > 1e-6);
  const save = useCommand(saveStand, { done: "Saved" });
  const litres = (value: number) => quantityText(value, "volume", units);
  const one = spec.kind === "wicking-bed" ? "bed" : "pond";
  const byHand = tried.floatRatedLph === 0;
  const days = answer.daysInHand;
  return (
    <>
      <Sentence problems={problems} size="line">
        A float valve of <MeasureBlank blanks={blanks} name="floatRatedLph" /> at{" "}
        <MeasureBlank blanks={blanks} name="floatRatedHeadM" /> of head, with{" "}
        <MeasureBlank blanks={blanks} name="headAtFloatM" /> there, keeps each {one} full; it must not sink under{" "}
        <MeasureBlank blanks={blanks} name="leastDepthM" />. The plants of a {one} drink{" "}
        <MeasureBlank blanks={blanks} name={NEED.name} /> a day.
        {vessel.openWaterM2 > 0 && (
          <>
            {" "}
            Open water loses <MeasureBlank blanks={blanks} name={EVAPORATION.name} /> a day.
          </>
        )}{" "}
        In the thirstiest hour <MeasureBlank blanks={blanks} name={PEAK.name} /> of the day’s water is drawn.
      </Sentence>
      <p className="mt-1 text-sm text-soft">
        {byHand
          ? "A flow of 0 is no float: filled by hand."
          : "The rated flow and its head stand on the valve or in its sheet."}
        {vessel.openWaterM2 > 0 &&
          evaporationMm === null &&
          " No climate is told: what open water loses is that of a warm day."}
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_21rem]">
        <div className={problems.length > 0 ? "opacity-60" : ""}>
          <StillPicture depthM={vessel.depthM} leastDepthM={tried.leastDepthM} hasFloat={!byHand} />
        </div>
        <aside>
          <p className={`sign text-3xl ${!byHand && !answer.floatKeepsUp ? "text-alarm" : ""}`}>
            <Why
              label="How still water is worked out"
              how="Drawn a day: what its plants drink, and open water × what it loses (1.05 × what grass drinks there, FAO-56). The float: rated flow × √(head there ÷ rated head). Days: water over the least depth ÷ drawn a day."
              inputs={[
                ["plants drink", litres(drunkLpd)],
                ["open water", quantityText(vessel.openWaterM2, "area", units)],
                ["water stands on", quantityText(vessel.waterAreaM2, "area", units)],
                ["in the thirstiest hour", percentText(peakShare)],
              ]}
            >
              {byHand
                ? days === null
                  ? "Nothing is drawn"
                  : `Fill it every ${counted(Math.max(1, Math.floor(days)), "day")}`
                : answer.floatKeepsUp
                  ? "The float keeps up"
                  : "The float does not keep up"}
            </Why>
          </p>
          <p>
            {!byHand && !answer.floatKeepsUp
              ? "In the thirstiest hour more is drawn than it lets in: the level falls and comes back later, as far as what stands over the least depth carries it."
              : isEmpty
                ? `Nothing drinks there today: a full ${one} of leaf crops on a warm day is taken.`
                : `${counted(plants, "plant")} stand${plants === 1 ? "s" : ""} there today.`}
          </p>
          <dl className="mt-3">
            <Figure what={`Each ${one} draws a day`} figure={litres(answer.dailyDrawL)} />
            {!byHand && (
              <>
                <Figure what="The float lets in" figure={quantityText(answer.floatLph, "flow", units)} />
                <Figure what="Drawn in the thirstiest hour" figure={litres(answer.peakHourL)} />
              </>
            )}
            <Figure
              what="Stands over the least depth"
              figure={litres(answer.aboveLeastL)}
              note={`of ${quantityText(vessel.depthM, "smallLength", units)} in all`}
            />
            <Figure
              what="Days without supply"
              figure={days === null ? "–" : formatNumber(Math.floor(days + 1e-9))}
              note="whole days, when nothing comes in"
            />
          </dl>
          {isOther && (
            <Only right="plan">
              <div className="mt-3 flex flex-wrap gap-2">
                <Button
                  look="strong"
                  disabled={save.busy || problems.length > 0}
                  onClick={() => void save.run({ ...formValues(STAND, stand), spec: tried })}
                >
                  Keep it
                </Button>
                <Button onClick={() => Object.entries(first).forEach(([name, text]) => blanks.type(name, text))}>
                  Put it back
                </Button>
              </div>
            </Only>
          )}
          <CautionNote
            short="A float on drinking water: an air gap, or what the local code asks for."
            more="Where a float is fed from drinking water there must be an air gap over the highest water level or a tested device against backflow, as the local code asks for. Cover and fence open water against children. A full pond or bed is heavy: level, bearing ground."
          />
        </aside>
      </div>
    </>
  );
}
