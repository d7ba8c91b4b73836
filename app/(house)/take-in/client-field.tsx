'use client';

import { Picker } from '@/ui/form/picker';
import { isSettled, offered, useAnswer, useFound } from '@/ui/form/use-found';
import { findClients, racketsOfClient, type FoundClient, type FoundRacket } from './actions';

/** Whose racket it is: chosen, new, or not said yet. */
interface NamedClient {
  readonly clientId: string;
  readonly clientName: string;
  readonly newClient: boolean;
}

interface FoundAtTheCounter {
  readonly clients: readonly FoundClient[];
  /** Nobody is offered as new before it is known who is here. */
  readonly waits: boolean;
  /** Of the client who is chosen, the one that was here last first. */
  readonly rackets: readonly FoundRacket[];
}

/** Who goes by what is typed, and the rackets of whoever is chosen. */
export function useClients(
  workshopId: string,
  { clientId, clientName }: Pick<NamedClient, 'clientId' | 'clientName'>,
): FoundAtTheCounter {
  const answer = useAnswer(() => findClients(workshopId, clientName), clientName, 120);
  const clients = offered(answer, clientName);
  const asked = useFound(
    async () => (clientId ? racketsOfClient(workshopId, clientId) : []),
    clientId,
    0,
  );
  return {
    clients,
    waits: !isSettled(answer, clientName),
    rackets: clientId ? (clients.find(({ id }) => id === clientId)?.rackets ?? asked) : [],
  };
}

interface ClientFieldProps {
  readonly found: FoundAtTheCounter;
  readonly value: NamedClient;
  readonly onChange: (changes: NamedClient & { readonly racketId: string }) => void;
  readonly problem: string | undefined;
}

/** A client by a few letters, or a new one; with a client comes the racket that was here last. */
export function ClientField({
  found: { clients, waits },
  value: { clientId, clientName, newClient },
  onChange,
  problem,
}: ClientFieldProps) {
  return (
    <Picker
      autoFocus
      label="Client"
      className="col-span-2 sm:col-span-1"
      options={clients}
      settled={!waits}
      text={clientName}
      onText={(text) =>
        onChange({ clientName: text, clientId: '', newClient: false, racketId: '' })
      }
      onPick={({ id, text }) =>
        onChange({
          clientId: id,
          clientName: text,
          newClient: false,
          racketId: clients.find((client) => client.id === id)?.rackets[0]?.id ?? '',
        })
      }
      addText={waits ? undefined : (typed) => `New client: ${typed}`}
      onAdd={(typed) =>
        onChange({ clientId: '', clientName: typed, newClient: true, racketId: '' })
      }
      problem={problem}
      hint={
        clientId
          ? 'Known here.'
          : newClient
            ? 'New: they are added with this ticket.'
            : 'A few letters of the name or number.'
      }
    />
  );
}
