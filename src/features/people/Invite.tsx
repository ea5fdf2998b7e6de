"use client";
import { useState } from "react";
import { ROLE_WORDS, ROLES, type Role } from "@/core/people/rights";
import { counted } from "@/core/units/format";
import { invite } from "@/server/people/memberActions";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { LinkInHand, useLink } from "./LinkInHand";

/** A link for one person, with what they may do and how long it is good. */
export function Invite() {
  const [role, setRole] = useState<Role>("helper");
  const [days, setDays] = useState(7);
  const [link, ask, busy] = useLink(invite, "/join");
  if (link) return <LinkInHand link={link} good={counted(days, "day")} />;
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void ask({ role, days });
      }}
    >
      <fieldset>
        <legend className="sign text-xl">As</legend>
        {ROLES.map((one) => (
          <label key={one} className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name="role"
              className="size-5 accent-water"
              checked={role === one}
              onChange={() => setRole(one)}
            />
            <b>{one}</b> <span className="text-soft">{ROLE_WORDS[one]}</span>
          </label>
        ))}
      </fieldset>
      <Field label="Valid for">
        {(aria) => (
          <select {...aria} className="input" value={days} onChange={(event) => setDays(Number(event.target.value))}>
            {[1, 3, 7, 30].map((count) => (
              <option key={count} value={count}>
                {counted(count, "day")}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Button look="strong" type="submit" disabled={busy}>
        Make the link
      </Button>
    </form>
  );
}
