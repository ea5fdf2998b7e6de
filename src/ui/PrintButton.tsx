"use client";
import { Printer } from "lucide-react";
import { Button } from "./Button";

export function PrintButton({ label }: { label: string }) {
  return (
    <Button look="quiet" className="no-print mt-4" onClick={() => window.print()}>
      <Printer aria-hidden className="size-5" /> {label}
    </Button>
  );
}
