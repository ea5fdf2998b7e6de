"use client";
import { dayInWords } from "@/core/units/day";
import { ROLE_WORDS, ROLES, type Role } from "@/core/people/rights";
import {
  endMembership,
  makeResetLink,
  setRole,
  withdrawInvitation,
  withdrawResetLink,
} from "@/server/people/memberActions";
import type { OpenLink } from "@/server/people/links";
import type { Member } from "@/server/people/queries";
import { Button } from "@/ui/Button";
import { useOpened } from "@/features/frame/drafts";
import { Drawer } from "@/ui/Drawer";
import { REMOVE, RemoveButton } from "@/features/frame/RemoveButton";
import { useCommand } from "@/features/frame/useCommand";
import { useClock, useMay } from "@/features/frame/who";
import { Invite } from "./Invite";
import { LinkInHand, useLink } from "./LinkInHand";

/** Who belongs to the garden and what they may do; a keeper invites and removes. */
export function MembersSheet({
  members,
  links,
  meId,
}: {
  members: readonly Member[];
  links: readonly OpenLink[];
  meId: number;
}) {
  const mayKeep = useMay("keep");
  const [opened, open] = useOpened<"invite" | number>("people");
  const member = members.find(({ id }) => id === opened);
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section>
        <h2 className="border-b-2 border-ink pb-1 text-2xl">Members</h2>
        <ul>
          {members.map((one) => (
            <li key={one.id} className="flex items-center justify-between gap-4 border-b border-rule py-1.5">
              <span className="sign text-xl">
                {one.name}
                {one.id === meId && <span className="text-base font-medium text-soft"> you</span>}
              </span>
              <span className="flex items-center gap-3 text-right">
                <span>
                  {one.role} <span className="text-soft">· {ROLE_WORDS[one.role]}</span>
                </span>
                {mayKeep && (
                  <Button
                    look="quiet"
                    className="!text-base"
                    aria-label={`Change ${one.name}`}
                    onClick={() => open(one.id)}
                  >
                    Change
                  </Button>
                )}
              </span>
            </li>
          ))}
        </ul>
        {mayKeep && (
          <Button className="mt-4" look="strong" data-key="n" onClick={() => open("invite")}>
            Invite somebody
          </Button>
        )}
      </section>
      {mayKeep && (
        <section>
          <h2 className="border-b-2 border-ink pb-1 text-2xl">Open links</h2>
          {links.length === 0 && <p className="mt-2 text-soft">None. A link lets one person in, once.</p>}
          <ul>
            {links.map((link) => (
              <LinkRow key={`${link.kind} ${link.id}`} link={link} />
            ))}
          </ul>
        </section>
      )}
      <Drawer open={opened === "invite"} onClose={() => open(null)} title="Invite somebody">
        <Invite />
      </Drawer>
      <Drawer open={member !== undefined} onClose={() => open(null)} title={member?.name ?? ""}>
        {member && <MemberForm member={member} isMe={member.id === meId} onDone={() => open(null)} />}
      </Drawer>
    </div>
  );
}

function LinkRow({ link }: { link: OpenLink }) {
  const { day } = useClock();
  const isInvitation = link.kind === "invitation";
  const { run, busy } = useCommand(isInvitation ? withdrawInvitation : withdrawResetLink, {
    done: isInvitation ? "Invitation withdrawn" : "Link withdrawn",
    undo: false,
  });
  return (
    <li className="flex items-center justify-between gap-4 border-b border-rule py-1.5">
      <span>
        {isInvitation ? `as ${link.role}` : `new password for ${link.forName}`}{" "}
        <span className="text-soft">
          · by {link.madeBy}, good until {dayInWords(day(link.expiresAt))}
        </span>
      </span>
      <Button
        look="quiet"
        className="!text-base"
        aria-label={isInvitation ? `Withdraw the invitation as ${link.role}` : `Withdraw the link for ${link.forName}`}
        disabled={busy}
        onClick={() => void run({ id: link.id })}
      >
        Withdraw
      </Button>
    </li>
  );
}

function MemberForm({ member, isMe, onDone }: { member: Member; isMe: boolean; onDone: () => void }) {
  const role = useCommand(setRole, { done: `${member.name} changed`, undo: false });
  const [link, ask, busy] = useLink(makeResetLink, "/reset");
  return (
    <div className="space-y-6">
      <fieldset>
        <legend className="sign text-xl">What {isMe ? "you" : member.name} may do</legend>
        {ROLES.map((one: Role) => (
          <label key={one} className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name="role"
              className="size-5 accent-water"
              checked={member.role === one}
              disabled={role.busy}
              onChange={() => void role.run({ id: member.id, version: member.version, role: one })}
            />
            <b>{one}</b> <span className="text-soft">{ROLE_WORDS[one]}</span>
          </label>
        ))}
      </fieldset>
      {member.hasAccount && (
        <div>
          <h3 className="sign text-xl">Password forgotten</h3>
          {link ? (
            <LinkInHand link={link} good="a day" />
          ) : (
            <Button disabled={busy} onClick={() => void ask({ id: member.id })}>
              Make a link for a new password
            </Button>
          )}
        </div>
      )}
      <div className="border-t border-rule pt-3">
        <RemoveButton
          what={member.name}
          action={endMembership}
          id={member.id}
          onDone={onDone}
          undo={false}
          words={REMOVE}
        />
        <p className="text-sm text-soft">What {member.name} did stays in the log under the name.</p>
      </div>
    </div>
  );
}
