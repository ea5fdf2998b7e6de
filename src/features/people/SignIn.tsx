"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { v4 as newId } from "uuid";
import { useState } from "react";
import { ROLE_WORDS, type Role } from "@/core/people/rights";
import { signIn, signOut } from "@/server/people/accessActions";
import { signInSchema } from "@/server/people/accessSchema";
import type { DemoAccount } from "@/server/people/queries";
import { Button, buttonClass } from "@/ui/Button";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";

const CODE: FieldSpec = {
  name: "code",
  label: "Code",
  type: "text",
  wide: true,
  hint: "six figures from your phone, or a recovery code",
  autoComplete: "one-time-code",
};
const FIELDS: readonly FieldSpec[] = [
  { name: "signInName", label: "Sign-in name", type: "text", wide: true, autoComplete: "username" },
  { name: "password", label: "Password", type: "password", wide: true, autoComplete: "current-password" },
];

/** Signing in. In the demo garden its members are offered, with their password. */
export function SignIn({ demo, to, homeless }: { demo: readonly DemoAccount[]; to: string; homeless: boolean }) {
  const router = useRouter();
  const [filled, setFilled] = useState({ signInName: "", password: "", code: "" });
  const [asksCode, setAsksCode] = useState(false);
  return (
    <>
      <h1 className="text-4xl">Sign in</h1>
      {homeless && (
        <div className="my-4 border-l-[6px] border-feed bg-feed-pale px-3 py-2">
          <p>You are signed in, but not a member of any garden. Ask a keeper for an invitation, or make a garden.</p>
          <Link href="/garden" className={buttonClass("strong")}>
            Make a garden
          </Link>
          <Button
            look="quiet"
            onClick={async () => {
              await signOut({}, newId());
              router.refresh();
            }}
          >
            Sign out
          </Button>
        </div>
      )}
      <div className="mt-5">
        <EntityForm
          form="sign-in"
          key={filled.signInName}
          schema={signInSchema}
          fields={asksCode ? [...FIELDS, CODE] : FIELDS}
          defaults={filled}
          action={signIn}
          saved=""
          submit="Sign in"
          secret
          onRefused={({ fields }) => fields.code && setAsksCode(true)}
          onDone={() => router.push(to)}
        />
      </div>
      {demo.length > 0 && (
        <section className="mt-10">
          <h2 className="border-b-2 border-ink pb-1 text-2xl">The demo garden’s people</h2>
          <ul>
            {demo.map((account) => (
              <li key={account.signInName} className="border-b border-rule">
                <button
                  type="button"
                  className="flex min-h-12 w-full items-baseline justify-between gap-3 py-1 text-left"
                  onClick={() => setFilled({ signInName: account.signInName, password: account.password, code: "" })}
                >
                  <span className="sign text-xl">{account.name}</span>
                  <span className="text-soft">
                    {account.role} · {ROLE_WORDS[account.role as Role]}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-sm text-soft">
            Choose one, then sign in. Their password is {demo[0]!.password}; the garden is made up.
          </p>
        </section>
      )}
      <p className="mt-8">
        <Link href="/answers" className="sign text-lg underline underline-offset-4">
          Quick answers without an account
        </Link>
      </p>
      <p className="mt-3 text-sm text-soft">
        No account yet? A keeper of your garden can make you a link. Password forgotten? A keeper can make a link for
        that too.
      </p>
    </>
  );
}
