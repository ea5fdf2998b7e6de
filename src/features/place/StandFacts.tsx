"use client";
import { counted, quantityText } from "@/core/units/format";
import { kindWords, plural } from "@/core/place/stand";
import { standFootprint } from "@/core/place/standLayout";
import type { StandView } from "@/core/garden/placeView";
import { Button } from "@/ui/Button";
import { Why } from "@/ui/Why";
import { useUnits } from "@/ui/units";
import { Only } from "@/features/frame/who";
import { CautionNote } from "@/ui/Caution";
import { standFindingWords } from "./words";
import { StandFigures } from "./StandFigures";
import { PageLink } from "@/ui/PageLink";

/** How many plants a stand takes, how dense that is three ways, and what is doubtful about it. */
export function StandFacts({ view, onEdit }: { view: StandView; onEdit: () => void }) {
  const units = useUnits();
  const { stand, counts, densities } = view;
  const foot = standFootprint(stand);
  const words = kindWords(stand.spec.kind);
  const kind = words.name.toLowerCase();
  return (
    <section aria-label={stand.name}>
      <h2 className="text-3xl">{stand.name}</h2>
      <p className="text-soft">
        {kind}, used for {view.growingAreaName.toLowerCase()}
        {view.loopName ? `, on the ${view.loopName.toLowerCase()} loop` : ", watered by hand"}
      </p>
      <p className="sign my-3 text-5xl">
        <Why
          label="Sites"
          how={`Sites of one ${words.line} times the ${plural(words.line)}. Along a line: the length less both end margins, divided by the pitch, whole steps plus one; a millimetre short still counts.`}
          inputs={[
            [plural(words.line), String(counts.lines)],
            [`${plural(words.site)} on each`, String(counts.sitesPerLine)],
          ]}
        >
          {counts.sites}
        </Why>{" "}
        <small className="text-2xl font-medium text-soft">{plural(words.site)}</small>
      </p>
      <p>
        {counted(counts.lines, words.line, plural(words.line))},{" "}
        {counted(counts.sitesPerLine, words.site, plural(words.site))} on each
        {`; ${view.planted} taken today, ${counts.sites - view.planted} free`}
      </p>
      <table className="mt-4 w-full">
        <caption className="sign pb-1 text-left text-xl">How close plants stand</caption>
        <tbody>
          {(
            [
              [
                "of line",
                densities.perM2OfLine,
                "Sites divided by the ground of the lines alone: how close plants stand.",
              ],
              [
                `of ${kind} with its aisles`,
                densities.perM2OfStand,
                `Sites divided by the rectangle of the ${kind} with gaps and inner aisles: how well it uses its ground.`,
              ],
              [
                "of house",
                densities.perM2OfHouse,
                `Sites divided by the footprint of the house: how well the house is filled by this ${kind}.`,
              ],
            ] as const
          ).map(([name, value, how]) => (
            <tr key={name} className="border-t border-rule">
              <th scope="row" className="py-1 text-left font-normal">
                {name}
              </th>
              <td className="figure py-1 text-right">
                <Why label={`Plants ${name}`} how={how} inputs={[["sites", String(counts.sites)]]}>
                  {quantityText(value, "density", units)}
                </Why>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 text-sm text-soft">
        Takes {quantityText(foot.lengthM, "length", units)} × {quantityText(foot.widthM, "length", units)}.
        {counts.slackM !== null && counts.slackM > 0.001 && (
          <>
            {" "}
            <Why
              label="Left over"
              how="Length of the line less both end margins and the pitches that fit between them."
            >
              {quantityText(counts.slackM, "smallLength", units)}
            </Why>{" "}
            is left over at the end of each line
            {counts.evenedPitchM !== null && counts.sitesPerLine > 1 && (
              <>; a pitch of {quantityText(counts.evenedPitchM, "smallLength", units)} would use it up</>
            )}
            .
          </>
        )}
      </p>
      <StandFigures view={view} />
      {counts.warnings.map((warning) => (
        <p key={warning.kind} className="mt-2 border-l-[6px] border-feed bg-feed-pale px-3 py-1.5 text-sm">
          {standFindingWords(warning, units)}
        </p>
      ))}
      {words.caution && (
        <div className="mt-2">
          <CautionNote short={words.caution[0]} more={words.caution[1]} />
        </div>
      )}
      <p>
        <PageLink
          href={`/people/history?stand=${stand.id}`}
          className="no-print mt-2 inline-block min-h-8 text-sm underline"
        >
          Who changed it
        </PageLink>
      </p>
      <Only right="plan">
        <Button className="no-print mt-2" onClick={onEdit}>
          Change {stand.name}
        </Button>
      </Only>
    </section>
  );
}
