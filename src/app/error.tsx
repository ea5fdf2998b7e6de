"use client";
import { useEffect, useState } from "react";
import { Button } from "@/ui/Button";
import { Waiting } from "@/ui/Waiting";

/** A page could not be made. Most often the database is away for a moment: then it comes back by itself. */
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
      <h1 className="text-4xl">{away ? "The garden’s database is away" : "This page could not be made"}</h1>
      <p className="mt-3" role="status">
        {away
          ? "What was saved is safe, and what you typed is kept on this device. This page looks every two seconds and comes back by itself."
          : "What was saved is safe. Try again; if it stays so, tell whoever runs Seed Round here: the reason stands in its log, log/current.log in the data folder."}
      </p>
      {away && <Waiting />}
      <Button look="strong" className="mt-5" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
