"use client";
import { useEffect } from "react";

const ASK_MS = 2000;

/** Asks every two seconds whether the database answers again, and then loads the page again. */
export function Waiting() {
  useEffect(() => {
    const timer = window.setInterval(() => {
      fetch("/readyz", { cache: "no-store" }).then(
        (answer) => answer.ok && window.location.reload(),
        () => undefined,
      );
    }, ASK_MS);
    return () => window.clearInterval(timer);
  }, []);
  return null;
}
