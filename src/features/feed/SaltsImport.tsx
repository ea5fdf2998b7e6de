"use client";
import { readSalts } from "@/core/feed/saltsFile";
import { CsvImport } from "@/features/frame/CsvImport";
import { importSalts } from "@/server/feed/importSalts";
import { saltsProblemWords } from "./words";

const read = (lines: readonly (readonly string[])[]) => {
  const { salts, problems } = readSalts(lines);
  return { rows: salts, problems: problems.map(saltsProblemWords) };
};

/** Brings salts in from a file. */
export function SaltsImport({ onDone }: { readonly onDone: () => void }) {
  return (
    <CsvImport
      one="salt"
      example={{ href: "/feed/salts.csv", words: "file of this shelf" }}
      placeholder={"name,NO3-N_percent,K_percent,on_hand_g\npotassium nitrate,13.85,38.67,25000"}
      read={read}
      action={importSalts}
      saved="Salts brought in"
      onDone={onDone}
    />
  );
}
