"use client";
import { useState } from "react";
import { dayInWords } from "@/core/units/day";
import { beginFactor, renewRecoveryCodes, switchFactorOff, switchFactorOn } from "@/server/people/accountActions";
import { codeSchema } from "@/server/people/accessSchema";
import type { NewFactor } from "@/server/people/secondFactor";
import { Button } from "@/ui/Button";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { useCommand } from "@/features/frame/useCommand";
import { useClock } from "@/features/frame/who";

const FIELDS: readonly FieldSpec[] = [
  {
    name: "code",
    label: "Code",
    type: "text",
    wide: true,
    hint: "six figures from your phone",
    autoComplete: "one-time-code",
  },
];

type Step =
  | { readonly to: "rest" | "off" | "renew" }
  | { readonly to: "on"; readonly factor: NewFactor }
  | { readonly to: "codes"; readonly codes: readonly string[] };

/** A code from the phone beside the password, for whoever wants it. */
export function SecondFactor({ onSince, codesLeft }: { onSince: Date | null; codesLeft: number }) {
  const { day } = useClock();
  const [step, setStep] = useState<Step>({ to: "rest" });
  const begin = useCommand(beginFactor, { undo: false });
  const toRest = () => setStep({ to: "rest" });
  const showCodes = (codes: string[]) => setStep({ to: "codes", codes });
  return (
    <section>
      <h2 className="mb-3 mt-8 border-b-2 border-ink pb-1 text-2xl">Second factor</h2>
      <p className="mb-3 text-soft">
        {onSince
          ? `On since ${dayInWords(day(onSince))}: signing in asks for a code from your phone as well as the password. ${codesLeft} recovery ${codesLeft === 1 ? "code is" : "codes are"} left.`
          : "Off. With it, signing in asks for a code from an app on your phone as well as the password, so that a stolen password alone opens nothing."}
      </p>
      {step.to === "rest" && !onSince && (
        <Button
          disabled={begin.busy}
          onClick={async () => {
            const result = await begin.run({});
            if (result.ok) setStep({ to: "on", factor: result.value });
          }}
        >
          Switch it on
        </Button>
      )}
      {step.to === "rest" && onSince && (
        <div className="flex flex-wrap gap-3">
          <Button onClick={() => setStep({ to: "renew" })}>New recovery codes</Button>
          <Button onClick={() => setStep({ to: "off" })}>Switch it off</Button>
        </div>
      )}
      {step.to === "on" && (
        <>
          <p>Read this with an app for one-time codes, then type the six figures that it shows.</p>
          <FactorPicture factor={step.factor} />
          <CodeForm action={switchFactorOn} submit="Switch it on" onDone={showCodes} onBack={toRest} />
        </>
      )}
      {step.to === "off" && (
        <CodeForm action={switchFactorOff} submit="Switch it off" onDone={toRest} onBack={toRest} />
      )}
      {step.to === "renew" && (
        <CodeForm action={renewRecoveryCodes} submit="Make ten new ones" onDone={showCodes} onBack={toRest} />
      )}
      {step.to === "codes" && <RecoveryCodes codes={step.codes} onDone={toRest} />}
    </section>
  );
}

function FactorPicture({ factor }: { factor: NewFactor }) {
  return (
    <>
      {/* eslint-disable-next-line @next/next/no-img-element -- drawn here and now, not a file */}
      <img
        alt="The secret, to be read by a phone"
        className="my-3 size-48 border border-rule bg-white"
        src={`data:image/svg+xml;utf8,${encodeURIComponent(factor.picture)}`}
      />
      <p className="mb-3 text-sm text-soft">
        Or type it by hand: <code className="break-all font-bold">{factor.secret.match(/.{1,4}/gu)!.join(" ")}</code>
      </p>
    </>
  );
}

function CodeForm<Value>({
  action,
  submit,
  onDone,
  onBack,
}: {
  action: Parameters<typeof EntityForm<Value>>[0]["action"];
  submit: string;
  onDone: (value: Value) => void;
  onBack: () => void;
}) {
  return (
    <EntityForm
      form="second-factor"
      schema={codeSchema}
      fields={FIELDS}
      defaults={{ code: "" }}
      action={action}
      saved=""
      submit={submit}
      undo={false}
      secret
      onDone={onDone}
      aside={
        <Button look="quiet" onClick={onBack}>
          Not now
        </Button>
      }
    />
  );
}

function RecoveryCodes({ codes, onDone }: { codes: readonly string[]; onDone: () => void }) {
  return (
    <div className="border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
      <p className="font-bold">
        Ten recovery codes, shown only now. Each works once in place of the phone: write them down and keep them away
        from it.
      </p>
      <ul aria-label="Recovery codes" className="my-3 grid grid-cols-2 gap-x-6 gap-y-1 font-mono">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Button look="strong" onClick={onDone}>
        I have written them down
      </Button>
    </div>
  );
}
