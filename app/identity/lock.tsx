import { signedIn, thisDevice } from './at-work';
import { facesOn } from './device';
import { LockScreen } from './lock-screen';

/** On a trusted device only: it locks when it is left alone, and changes hands with a short code. */
export async function Lock() {
  const [person, device] = [await signedIn(), await thisDevice()];
  if (!person || !device) return null;
  return (
    <LockScreen
      personId={person.id}
      faces={await facesOn(device)}
      device={device.name}
      locked={person.lockedAt !== null}
    />
  );
}
