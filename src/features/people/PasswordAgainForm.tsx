"use client";
import { confirmPassword } from "@/server/people/accountActions";
import { passwordAgainSchema } from "@/server/people/accessSchema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";

const FIELDS: readonly FieldSpec[] = [
  { name: "password", label: "Your password", type: "password", wide: true, autoComplete: "current-password" },
];

/** The password, typed once more. */
export function PasswordAgainForm({ onTyped }: { onTyped: () => void }) {
  return (
    <EntityForm
      form="password-again"
      schema={passwordAgainSchema}
      fields={FIELDS}
      defaults={{ password: "" }}
      action={confirmPassword}
      saved=""
      submit="Confirm"
      undo={false}
      secret
      onDone={onTyped}
    />
  );
}
