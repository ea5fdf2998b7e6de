"use client";
import Papa from "papaparse";
import { useMemo, useState } from "react";
import { readCrops } from "@/core/garden/cropsFile";
import type { GrowingAreaRow, Variety } from "@/core/garden/garden";
import type { HarvestUnit } from "@/core/growth/harvestUnit";
import { counted } from "@/core/units/format";
import { FileOrPaste } from "@/features/frame/FileOrPaste";
import { useCommand } from "@/features/frame/useCommand";
import { importCrops } from "@/server/growth/importCrops";
import { useWhatIfParam, withinWhatIf } from "@/ui/PageLink";
import { Button } from "@/ui/Button";
import { cropsProblemWords } from "./words";

interface CropsImportProps {
  readonly kept: readonly Variety[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly units: readonly HarvestUnit[];
  readonly onDone: () => void;
}

/** Brings crops in from a file: first looked through, with what is wrong line by line; taken whole or not at all. */
export function CropsImport({ kept, growingAreas, units, onDone }: CropsImportProps) {
  const [text, setText] = useState("");
  const whatIf = useWhatIfParam();
  const { run, busy } = useCommand(importCrops, { done: "Crops brought in" });
  const names = useMemo(
    () => ({
      units: new Map(units.map(({ id, name }) => [name, id])),
      growingAreas: new Map(growingAreas.map(({ id, name }) => [name, id])),
      crops: new Set(kept.map(({ name }) => name)),
    }),
    [kept, growingAreas, units],
  );
  const file = text.trim() === "" ? null : readCrops(Papa.parse<string[]>(text.trim()).data, names);
  const problems = file?.problems ?? [];
  const isSound = file !== null && problems.length === 0;
  return (
    <div className="space-y-4">
      <p>
        One crop a line, columns named in the first, as in the{" "}
        <a className="underline" href={withinWhatIf("/growth/crops.csv", whatIf)} download>
          file of your crops
        </a>
        . Crops that are here by name are changed, the others are new; none is taken away.
      </p>
      <FileOrPaste
        label="File of crops"
        text={text}
        placeholder={"name,germination,lightMolPerM2Day\nBatavia lettuce,0.91,14"}
        problems={problems.map(cropsProblemWords)}
        onText={setText}
      />
      {isSound && (
        <ul aria-label="What the file brings" className="max-h-64 overflow-y-auto">
          {file.crops.map(({ name, row, stages }) => (
            <li key={name} className="border-t border-rule py-1">
              <b>{name}</b>{" "}
              {names.crops.has(name)
                ? `is here: ${counted(Object.keys(row).length - 1, "figure")} of it told`
                : `is new, with ${counted(stages.length, "stage")}`}
            </li>
          ))}
        </ul>
      )}
      <Button
        look="strong"
        disabled={!isSound || busy}
        onClick={async () => {
          if ((await run({ text })).ok) onDone();
        }}
      >
        {isSound ? `Bring in ${counted(file.crops.length, "crop")}` : "Bring in"}
      </Button>
    </div>
  );
}
