const DESK = `http://127.0.0.1:${process.env.ORTHOTENS_DESK_PORT ?? '3750'}`;

export interface Mail {
  readonly to: readonly string[];
  readonly subject: string;
  readonly text: string;
}

/** What came to an address in the stand-in mailbox. */
export const mailTo = async (address: string): Promise<readonly Mail[]> =>
  ((await (await fetch(`${DESK}/mail.json`)).json()) as Mail[]).filter(({ to }) =>
    to.includes(address),
  );
