"use client";
import { Button } from "@/ui/Button";

/** Something failed while a sheet was made: what is safe, and what to do. */
export default function SheetError({ reset }: { error: Error; reset: () => void }) {
  return (
    <div className="max-w-xl px-4 py-10 md:px-6">
      <h1 className="text-4xl">This sheet could not be made</h1>
      <p className="mt-3">
        What has been saved is safe. Most often the database was away for a moment: try again. If it stays so, stop the
        application and start it anew; it keeps its data.
      </p>
      <Button look="strong" className="mt-5" onClick={reset}>
        Try again
      </Button>
    </div>
  );
}
