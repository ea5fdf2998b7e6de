"use client";
import { Moon, Sun } from "lucide-react";
import { useEffect, useState } from "react";
import { LIGHT_COOKIE, type Light } from "./light";

/** Paper by day, night in the dark. Without a choice the device decides. */
export function LightSwitch({ initial }: { initial: Light | null }) {
  const [light, setLight] = useState<Light | null>(initial);
  useEffect(() => {
    if (light === null) return;
    document.documentElement.dataset.light = light;
    document.cookie = `${LIGHT_COOKIE}=${light}; path=/; max-age=31536000; samesite=lax`;
  }, [light]);
  const next = () => setLight(document.documentElement.dataset.light === "night" ? "paper" : "night");
  return (
    <button
      type="button"
      onClick={next}
      className="no-print grid size-11 place-items-center text-soft"
      aria-label="Change light: paper or night"
    >
      {light === "night" ? <Sun aria-hidden className="size-5" /> : <Moon aria-hidden className="size-5" />}
    </button>
  );
}
