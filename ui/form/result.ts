/** What a server action answers to a form. */
export type FormAnswer =
  | { readonly ok: true; readonly go?: string }
  | {
      readonly ok: false;
      /** Sentences by field name. */
      readonly problems?: Readonly<Record<string, string>>;
      /** A sentence about the form as a whole. */
      readonly notice?: string;
    };
