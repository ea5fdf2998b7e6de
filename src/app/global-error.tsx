"use client";
import { Waiting } from "@/features/frame/Waiting";

/** The last resort, when not even the frame of the page could be made: no styles, plain words. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body style={{ fontFamily: "sans-serif", padding: "2rem", maxWidth: "36rem" }}>
        <h1>Seed Round is not ready</h1>
        <p>What was saved is safe. This page tries again every two seconds.</p>
        <Waiting />
        <button type="button" onClick={reset} style={{ padding: "0.8rem 1.2rem", fontSize: "1rem" }}>
          Try again
        </button>
      </body>
    </html>
  );
}
