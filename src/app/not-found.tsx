import Link from "next/link";
import { buttonClass } from "@/ui/Button";

export default function NotFound() {
  return (
    <main className="max-w-xl px-6 py-10">
      <h1 className="text-4xl">Page not found</h1>
      <p className="mt-3">There is nothing at this address. Today’s round is a good place to start.</p>
      <Link href="/round" className={`${buttonClass("strong")} mt-5`}>
        To the round
      </Link>
    </main>
  );
}
