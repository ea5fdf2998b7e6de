"use client";
import { useEffect, useState } from "react";
import { Drawer } from "@/ui/Drawer";
import { later } from "@/ui/later";
import { answerPasswordAgain } from "@/features/frame/passwordAgain";

const PasswordAgainForm = later(() => import("./PasswordAgainForm").then((part) => part.PasswordAgainForm));

/** Asks for the password again before access is changed, when it was last typed more than an hour ago. */
export function PasswordAgain() {
  const [answer, setAnswer] = useState<((typed: boolean) => void) | null>(null);
  useEffect(() => answerPasswordAgain(() => new Promise<boolean>((resolve) => setAnswer(() => resolve))), []);
  const finish = (typed: boolean) => {
    answer?.(typed);
    setAnswer(null);
  };
  return (
    <Drawer open={answer !== null} onClose={() => finish(false)} title="Your password, once more">
      <p className="mb-4">You last typed it more than an hour ago, and this changes who can get in.</p>
      <PasswordAgainForm onTyped={() => finish(true)} />
    </Drawer>
  );
}
