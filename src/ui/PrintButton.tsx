"use client";
import { Printer } from "lucide-react";
import { Button } from "./Button";

/** Prints the sheet, or only the slip that lies open on it. */
export function PrintButton({ label, part }: { label: string; part?: "slip" }) {
  const print = () => {
    const page = document.documentElement;
    if (part) page.dataset.print = part;
    window.print();
    delete page.dataset.print;
  };
  return (
    <Button look="quiet" className="no-print mt-4" onClick={print}>
      <Printer aria-hidden className="size-5" /> {label}
    </Button>
  );
}
