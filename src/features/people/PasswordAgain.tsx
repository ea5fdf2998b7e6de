"use client";
import { useEffect, useState } from "react";
import { confirmPassword } from "@/server/people/accountActions";
import { passwordAgainSchema } from "@/server/people/doorSchema";
import { Drawer } from "@/ui/Drawer";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { answerPasswordAgain } from "@/ui/passwordAgain";

const FIELDS: readonly FieldSpec[] = [
  { name: "password", label: "Your password", type: "password", wide: true, autoComplete: "current-password" },
];

/** Asks for the password again before doors are opened or closed, when it was typed longer than an hour ago. */
export function PasswordAgain() {
  const [answer, setAnswer] = useState<((typed: boolean) => void) | null>(null);
  useEffect(() => answerPasswordAgain(() => new Promise<boolean>((resolve) => setAnswer(() => resolve))), []);
  const finish = (typed: boolean) => {
    answer?.(typed);
    setAnswer(null);
  };
  return (
    <Drawer open={answer !== null} onClose={() => finish(false)} title="Your password, once more">
      <p className="mb-4">You typed it more than an hour ago, and this opens or closes doors.</p>
      <EntityForm
        schema={passwordAgainSchema}
        fields={FIELDS}
        defaults={{ password: "" }}
        action={confirmPassword}
        saved=""
        submit="It is me"
        undo={false}
        secret
        onDone={() => finish(true)}
      />
    </Drawer>
  );
}
