'use client';

import { useCallback, useEffect, useState } from 'react';
import { refusalIn } from '@/app/identity/ask-door';
import { doors, hasPasskeys } from '@/app/identity/client';
import { useAwake } from '@/ui/use-awake';

interface Key {
  readonly id: string;
  readonly name?: string | undefined;
}

/** Passkeys of this person: made on this device, or taken away. */
export function Passkeys() {
  const awake = useAwake();
  const [keys, setKeys] = useState<readonly Key[]>();
  const [notice, setNotice] = useState<string>();
  const look = useCallback(async () => {
    const { data } = await doors.passkey.listUserPasskeys();
    setKeys(data ?? []);
  }, []);
  useEffect(() => {
    // What it finds comes later than this effect, from the server.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    void look();
  }, [look]);

  const add = async () => {
    const refusal = refusalIn(
      await doors.passkey.addPasskey({ name: `made ${new Date().toISOString().slice(0, 10)}` }),
    );
    setNotice(refusal && 'No passkey was made. Try again, and follow what the browser asks.');
    await look();
  };
  const remove = async (id: string) => {
    setNotice(refusalIn(await doors.passkey.deletePasskey({ id })));
    await look();
  };

  return (
    <section aria-labelledby="passkeys">
      <h2 id="passkeys" className="figure mb-1 text-2xl">
        Passkeys
      </h2>
      <p className="label mb-3">A way in without typing: the lock of your phone or laptop.</p>
      <ul aria-label="Passkeys">
        {keys?.map(({ id, name }) => (
          <li key={id} className="border-hair flex gap-5 border-t py-2">
            <span className="grow">{name ?? 'a passkey'}</span>
            <button type="button" className="text-warn underline" onClick={() => void remove(id)}>
              Take it away
            </button>
          </li>
        ))}
      </ul>
      {awake &&
        (hasPasskeys() ? (
          <button type="button" onClick={() => void add()} className="underline">
            Make one on this device
          </button>
        ) : (
          <p>
            Browsers give passkeys to names only, not to numbers: open this workshop by its name, or
            as localhost.
          </p>
        ))}
      {notice && (
        <p role="alert" className="text-warn mt-2 font-medium">
          {notice}
        </p>
      )}
    </section>
  );
}
