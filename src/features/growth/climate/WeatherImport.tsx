"use client";
import { useRef, useState } from "react";
import { readWeather, type WeatherDay, type WeatherFile } from "@/core/place/climate/weatherFile";
import { dayInWords, type Day } from "@/core/units/day";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import { importWeather, removeWeather } from "@/server/place/climateActions";
import { useCommand } from "@/features/frame/useCommand";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";
import { weatherProblemWords } from "../words";

/** What was imported already. */
export interface Imported {
  readonly days: number;
  readonly from: Day;
  readonly to: Day;
}

/** So many faults are listed; the rest are counted. */
const MOST_LISTED = 12;
const PREVIEWED = 4;

/** Brings daily weather in from a file: first looked through, with what is wrong line by line; taken whole or not at all. */
export function WeatherImport({ imported, onDone }: { imported: Imported | null; onDone: () => void }) {
  const [text, setText] = useState("");
  const [file, setFile] = useState<WeatherFile | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const taking = useCommand(importWeather, { done: "Days brought in", undo: false });
  const forgetting = useCommand(removeWeather, { done: "Imported days removed", undo: false });
  const look = (next: string) => {
    setText(next);
    setFile(next.trim() === "" ? null : readWeather(next));
  };
  const take = async () => {
    const result = await taking.run({ text });
    if (result.ok) onDone();
  };
  return (
    <div className="space-y-4">
      <p>
        One day a line, columns named in the first: <b>date, tmax, tmin</b>, and as far as they are there <b>rain</b>{" "}
        (mm), <b>humidity</b> (%), <b>wind</b> (m/s, 2 m up) and <b>radiation</b> (MJ/m² a day). Temperatures in °C.
        Days that are there already are replaced.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => chooser.current?.click()}>Choose a file</Button>
        <input
          ref={chooser}
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          aria-label="File of daily weather"
          className="sr-only"
          tabIndex={-1}
          onChange={async ({ target }) => {
            const chosen = target.files?.[0];
            target.value = "";
            if (chosen) look(await chosen.text());
          }}
        />
      </div>
      <label className="block font-bold">
        Or paste it here; mend lines here, too
        <textarea
          className="input mt-1 font-mono text-sm font-normal"
          rows={8}
          spellCheck={false}
          value={text}
          placeholder={"date,tmax,tmin,rain\n2026-01-01,14.2,6.1,0"}
          onChange={({ target }) => look(target.value)}
        />
      </label>
      {file && file.problems.length > 0 && (
        <div role="alert" className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
          <p className="font-bold">
            {file.problems.length === 1 ? "One thing is" : `${formatNumber(file.problems.length)} things are`} wrong;
            nothing is brought in until all are mended.
          </p>
          <ul className="mt-1 list-disc pl-5">
            {file.problems.slice(0, MOST_LISTED).map((problem) => (
              <li key={JSON.stringify(problem)}>{weatherProblemWords(problem)}</li>
            ))}
          </ul>
          {file.problems.length > MOST_LISTED && <p>… and {formatNumber(file.problems.length - MOST_LISTED)} more.</p>}
        </div>
      )}
      {file && file.problems.length === 0 && <Preview days={file.days} />}
      <div className="flex flex-wrap gap-3 border-t border-rule pt-3">
        <Button look="strong" disabled={!file || file.problems.length > 0 || taking.busy} onClick={() => void take()}>
          {file && file.problems.length === 0 ? `Bring in ${counted(file.days.length, "day")}` : "Bring in"}
        </Button>
        {imported && (
          <Button
            disabled={forgetting.busy}
            onClick={async () => {
              if ((await forgetting.run({})).ok) onDone();
            }}
          >
            Remove the {counted(imported.days, "day")} that are here
          </Button>
        )}
      </div>
    </div>
  );
}

/** The first days as they were understood. */
function Preview({ days }: { days: readonly WeatherDay[] }) {
  const units = useUnits();
  const figure = (value: number | null, dimension: "temperature" | "rain" | "wind") =>
    value === null ? "–" : quantityText(value, dimension, units);
  return (
    <div>
      <p role="status" className="font-bold text-leaf">
        {counted(days.length, "day")}, {dayInWords(days[0]!.day, "year")} to {dayInWords(days.at(-1)!.day, "year")}:
        nothing is wrong.
      </p>
      <table className="mt-1 w-full text-right text-sm">
        <thead>
          <tr className="text-soft">
            <th className="text-left font-normal">The first days</th>
            <th className="font-normal">coldest</th>
            <th className="font-normal">warmest</th>
            <th className="font-normal">rain</th>
            <th className="font-normal">wind</th>
          </tr>
        </thead>
        <tbody>
          {days.slice(0, PREVIEWED).map((day) => (
            <tr key={day.day} className="border-t border-rule">
              <td className="text-left">{dayInWords(day.day, "year")}</td>
              <td>{figure(day.lowestC, "temperature")}</td>
              <td>{figure(day.highestC, "temperature")}</td>
              <td>{figure(day.rainMm, "rain")}</td>
              <td>{figure(day.windMPerS, "wind")}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
