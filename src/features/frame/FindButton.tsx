"use client";
import { Search } from "lucide-react";
import { openPalette } from "./ShortcutKeys";

export function FindButton() {
  return (
    <button
      type="button"
      onClick={openPalette}
      className="no-print grid size-11 place-items-center text-soft"
      aria-label="Find anything, do anything"
    >
      <Search aria-hidden className="size-5" />
    </button>
  );
}
