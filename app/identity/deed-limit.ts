import { RateLimiterMemory } from 'rate-limiter-flexible';

/** A bench asks every two seconds; somebody may well have several open, and catch up after an hour away. */
const byPerson = new RateLimiterMemory({ points: 600, duration: 60 });
/** A whole workshop may come from one address. */
const byAddress = new RateLimiterMemory({ points: 3000, duration: 60 });

/** Whether somebody, or an address, sends more than benches do. */
export const tooManyDeeds = (personId: string, address: string): Promise<boolean> =>
  Promise.all([byPerson.consume(personId), byAddress.consume(address)]).then(
    () => false,
    () => true,
  );
