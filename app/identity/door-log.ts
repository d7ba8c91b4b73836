/** What the doors and the policy decided, for the log: what, who by number and where; no names and no secrets. */
export function logDoor(
  what: 'came in' | 'was refused at' | 'may not',
  where: string,
  personId: string | undefined,
): void {
  console.info(
    JSON.stringify({ at: new Date().toISOString(), who: personId ?? null, what, where }),
  );
}
