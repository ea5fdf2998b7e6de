"use client";
import { useState } from "react";
import { readWeather, type WeatherDay, type WeatherFile } from "@/core/place/climate/weatherFile";
import { dayInWords, type Day } from "@/core/units/day";
import { counted, quantityText } from "@/core/units/format";
import { importWeather, removeWeather } from "@/server/place/climateActions";
import { FileOrPaste } from "@/features/frame/FileOrPaste";
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

const PREVIEWED = 4;

/** Brings daily weather in from a file: first looked through, with what is wrong line by line; taken whole or not at all. */
export function WeatherImport({ imported, onDone }: { imported: Imported | null; onDone: () => void }) {
  const [text, setText] = useState("");
  const [file, setFile] = useState<WeatherFile | null>(null);
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
      <FileOrPaste
        label="File of daily weather"
        text={text}
        placeholder={"date,tmax,tmin,rain\n2026-01-01,14.2,6.1,0"}
        problems={(file?.problems ?? []).map(weatherProblemWords)}
        onText={look}
      />
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
