'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ROLES, type Role } from '@/core/house/role-rights';
import { Choice } from '@/ui/form/choice';
import type { FormAnswer } from '@/ui/form/result';
import { RemoveButton } from '@/ui/remove-button';
import { useAwake } from '@/ui/use-awake';
import type { LinkAnswer } from './actions';
import { OneLink } from './one-link';

interface MemberRowProps {
  readonly name: string;
  readonly username: string;
  readonly role: Role;
  readonly since: string;
  readonly hasCode: boolean;
  readonly isMe: boolean;
  readonly change: (role: Role) => Promise<FormAnswer>;
  readonly link: () => Promise<LinkAnswer>;
  readonly letGo: () => Promise<string | void>;
  readonly takeBack: () => Promise<string | void>;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was changed: try again.';

/** Somebody who works here, and their role to change at once. */
export function MemberRow(props: MemberRowProps) {
  const router = useRouter();
  const awake = useAwake();
  const [notice, setNotice] = useState<string>();
  const [link, setLink] = useState<string>();
  const [role, setRole] = useState(props.role);
  const changeRole = async () => {
    const answer = await props
      .change(role)
      .catch(() => ({ ok: false as const, notice: NO_ANSWER }));
    if (answer.ok) return router.refresh();
    setNotice(answer.notice);
    setRole(props.role);
  };
  const askLink = async () => {
    const answer = await props.link().catch(() => ({ ok: false as const, notice: NO_ANSWER }));
    if (answer.ok) setLink((answer as LinkAnswer).link);
    else setNotice(answer.notice);
  };
  return (
    <li className="border-hair flex flex-wrap items-end gap-x-6 gap-y-2 border-b py-3">
      <p className="w-52 min-w-0">
        <span className="block truncate text-lg font-medium">{props.name}</span>
        <span className="label block truncate">
          {props.username} · since {props.since}
          {props.hasCode ? '' : ' · no code'}
        </span>
      </p>
      <Choice
        label="Role"
        value={role}
        onChange={setRole}
        options={ROLES.map((role) => ({ value: role, text: role }))}
      />
      {role !== props.role && (
        <button
          type="button"
          onClick={() => void changeRole()}
          className="bg-ink text-paper px-4 py-1.5 font-medium"
        >
          Make them {role}
        </button>
      )}
      {props.isMe ? (
        <span className="label pb-2">this is you</span>
      ) : (
        <span className="flex gap-5 pb-2">
          <button
            type="button"
            disabled={!awake}
            onClick={() => void askLink()}
            className="min-h-6 underline"
          >
            Link for a password
          </button>
          <RemoveButton
            what="person"
            remove={props.letGo}
            restore={props.takeBack}
            listHref="/workshop/people"
          />
        </span>
      )}
      {link && <OneLink link={link} name={props.name} lasts="three days" />}
      {notice && (
        <p role="alert" className="text-warn basis-full font-medium">
          {notice}
        </p>
      )}
    </li>
  );
}
