"use client";
import { useEffect, useState } from "react";
import { Button } from "@/ui/Button";
import { Waiting } from "@/features/frame/Waiting";

/** A page could not be made. Most often the database does not answer for a moment: then it comes back by itself. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  const [away, setAway] = useState<boolean | null>(null);
  useEffect(() => {
    fetch("/readyz", { cache: "no-store" }).then(
      (answer) => setAway(!answer.ok),
      () => setAway(true),
    );
  }, []);
  return (
    <main className="mx-auto max-w-xl px-4 py-14">
      <h1 className="text-4xl">{away ? "The database is not responding" : "This page could not be loaded"}</h1>
      <p className="mt-3" role="status">
        {away
          ? "What was saved is safe, and what you typed is kept on this device. This page tries again every two seconds."
          : "What was saved is safe. Try again; if it stays so, tell whoever runs Seed Round here: the reason is in log/current.log in the data folder."}
      </p>
      {away && <Waiting />}
      <Button look="strong" className="mt-5" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
