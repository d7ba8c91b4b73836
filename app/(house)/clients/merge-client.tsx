'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  USUAL_MERGE,
  type MergeChoices,
  type MergeField,
  type MergeQuestion,
} from '@/core/advice/one-client';
import { Choice } from '@/ui/form/choice';
import type { Pick } from '@/ui/form/picker';
import { isDone } from '@/ui/is-done';
import { say, sayDone, sayRefusal } from '@/ui/say';
import { ChooseClient } from './choose-client';

interface MergeClientProps {
  readonly id: string;
  readonly name: string;
  readonly near: (typed: string) => Promise<readonly Pick[]>;
  readonly compare: (into: string) => Promise<readonly MergeQuestion[] | string>;
  readonly merge: (into: string, choices: MergeChoices) => Promise<string | void>;
  readonly unmerge: () => Promise<string | void>;
}

const NOTHING_CHANGED = 'Nothing was changed.';

const FIELD_WORDS: Readonly<Record<MergeField, string>> = {
  contact: 'How to reach them',
  address: 'Address',
  tensionUnit: 'Tension on their papers',
  talk: 'What they said',
};

/** For the client who was taken in twice: all that is known of either stays, and it can be undone. */
export function MergeClient({ id, name, near, compare, merge, unmerge }: MergeClientProps) {
  const router = useRouter();
  const [asked, setAsked] = useState<{
    readonly into: Pick;
    readonly questions: readonly MergeQuestion[];
  }>();
  const [choices, setChoices] = useState(USUAL_MERGE);
  const undo = async () => {
    if (!(await isDone(unmerge, NOTHING_CHANGED))) return;
    say(`${name} is a client of their own again.`);
    router.refresh();
  };
  const mergeInto = async (into: Pick): Promise<boolean> => {
    if (!(await isDone(() => merge(into.id, choices), NOTHING_CHANGED))) return false;
    sayDone(`${name} and ${into.text} are one client now.`, () => void undo());
    router.push(`/clients/${into.id}`);
    router.refresh();
    return true;
  };
  const go = async (into: Pick): Promise<boolean> => {
    const questions = await compare(into.id).catch(
      () => `The workshop’s server does not answer. ${NOTHING_CHANGED}`,
    );
    if (typeof questions === 'string') sayRefusal(questions);
    else if (questions.length === 0) return mergeInto(into);
    else setAsked({ into, questions });
    return false;
  };
  return (
    <ChooseClient
      about="The same person as another client"
      label="The one to keep"
      hint={`The rackets of ${name} go to that client, with notes and what is sore; ${name} goes out of the lists.`}
      action="Merge the two"
      not={id}
      near={near}
      go={go}
      onChosen={() => setAsked(undefined)}
    >
      {asked && (
        <section aria-label="Where they differ" className="mt-4 max-w-xl">
          <p className="mb-2">
            Notes of both stay, and of a sore arm the worse. Here they say different things:
          </p>
          {asked.questions.map(({ field, kept, other }) => (
            <Choice
              key={field}
              className="mb-3"
              label={FIELD_WORDS[field]}
              value={choices[field]}
              onChange={(value) => setChoices({ ...choices, [field]: value })}
              options={[
                { value: 'kept', text: kept },
                { value: 'other', text: other },
                ...(field === 'contact' ? [{ value: 'both' as const, text: 'both' }] : []),
              ]}
            />
          ))}
          <button
            type="button"
            onClick={() => void mergeInto(asked.into)}
            className="bg-ink text-paper px-5 py-2 font-medium"
          >
            Merge them so
          </button>
        </section>
      )}
    </ChooseClient>
  );
}
