"use client";
import { useMemo } from "react";
import { readCrops, type FileCrop } from "@/core/garden/cropsFile";
import type { GrowingAreaRow, Variety } from "@/core/garden/garden";
import type { HarvestUnit } from "@/core/growth/harvestUnit";
import { counted } from "@/core/units/format";
import { CsvImport } from "@/features/frame/CsvImport";
import { importCrops } from "@/server/growth/importCrops";
import { cropsProblemWords } from "./words";

interface CropsImportProps {
  readonly kept: readonly Variety[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly units: readonly HarvestUnit[];
  readonly onDone: () => void;
}

/** Brings crops in from a file, and says before of which crops it tells what. */
export function CropsImport({ kept, growingAreas, units, onDone }: CropsImportProps) {
  const names = useMemo(
    () => ({
      units: new Map(units.map(({ id, name }) => [name, id])),
      growingAreas: new Map(growingAreas.map(({ id, name }) => [name, id])),
      crops: new Set(kept.map(({ name }) => name)),
    }),
    [kept, growingAreas, units],
  );
  const told = ({ name, row, stages }: FileCrop) =>
    names.crops.has(name)
      ? `is here: ${counted(Object.keys(row).length - 1, "figure")} of it told`
      : `is new, with ${counted(stages.length, "stage")}`;
  return (
    <CsvImport
      one="crop"
      example={{ href: "/growth/crops.csv", words: "file of your crops" }}
      placeholder={"name,germination,lightMolPerM2Day\nBatavia lettuce,0.91,14"}
      read={(lines) => {
        const { crops, problems } = readCrops(lines, names);
        return { rows: crops, problems: problems.map(cropsProblemWords) };
      }}
      action={importCrops}
      saved="Crops brought in"
      preview={(crops) => (
        <ul aria-label="What the file brings" className="max-h-64 overflow-y-auto">
          {crops.map((crop) => (
            <li key={crop.name} className="border-t border-rule py-1">
              <b>{crop.name}</b> {told(crop)}
            </li>
          ))}
        </ul>
      )}
      onDone={onDone}
    />
  );
}
