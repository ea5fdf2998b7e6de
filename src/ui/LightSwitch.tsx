"use client";
import { FileText, Moon, Sun } from "lucide-react";
import { useState } from "react";
import { chooseLight, LIGHTS, type Light } from "./light";

const ICONS: Readonly<Record<Light, typeof Sun>> = { paper: FileText, night: Moon, sun: Sun };

/** Paper by day, night in the dark, sun for a screen in bright light. Without a choice the device decides. */
export function LightSwitch({ initial }: { initial: Light | null }) {
  const [light, setLight] = useState<Light | null>(initial);
  const change = () => {
    const present = (document.documentElement.dataset.light as Light | undefined) ?? "paper";
    const next = LIGHTS[(LIGHTS.indexOf(present) + 1) % LIGHTS.length]!;
    chooseLight(next);
    setLight(next);
  };
  const Icon = ICONS[light ?? "paper"];
  return (
    <button
      type="button"
      onClick={change}
      className="no-print grid size-11 place-items-center text-soft"
      aria-label={`Change light: paper, night or sun${light ? `; now ${light}` : ""}`}
    >
      <Icon aria-hidden className="size-5" />
    </button>
  );
}
