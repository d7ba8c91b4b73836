import { z } from 'zod';
import { EXTRA_KINDS } from '@/core/counter/extra-work';
import { moneyFigure, parseMoney } from '@/core/measure/money';
import { parseRate } from '@/core/measure/parsing';
import { lineText, nameText, typed, textIn } from '@/core/measure/typed';
import { checkTemplate, type MessageKind, type Templates } from '@/core/papers/messages';
import type { PriceItemFacts } from '@/db/price-list';
import type { PaperFacts } from '@/db/workshop';

const isLocale = (name: string): boolean => {
  try {
    return (
      Intl.getCanonicalLocales(name).length === 1 &&
      Intl.NumberFormat.supportedLocalesOf(name).length === 1
    );
  } catch {
    return false;
  }
};

export const papersSchema = z
  .object({
    address: textIn.trim().max(400, 'Keep the address under 400 letters.'),
    country: textIn
      .trim()
      .toUpperCase()
      .regex(/^([A-Z]{2})?$/, 'Write the two letters of the country, such as PT.'),
    taxNumber: lineText('the tax number'),
    locale: textIn
      .trim()
      .refine(isLocale, 'Write how figures are written as a language and a place, such as en-GB.'),
    prices: z.enum(['with', 'without']),
    labourTax: typed(parseRate),
    stringTax: typed(parseRate),
  })
  .transform(({ prices, labourTax, stringTax, ...rest }): PaperFacts => ({
    ...rest,
    taxIncluded: prices === 'with',
    labourTaxBp: labourTax,
    stringTaxBp: stringTax,
  }));

export type PapersEntry = z.input<typeof papersSchema>;

export const papersEntryOf = (facts: PaperFacts): PapersEntry => ({
  address: facts.address,
  country: facts.country,
  taxNumber: facts.taxNumber,
  locale: facts.locale,
  prices: facts.taxIncluded ? 'with' : 'without',
  labourTax: String(facts.labourTaxBp / 100),
  stringTax: String(facts.stringTaxBp / 100),
});

export const itemSchema = (currency: string) =>
  z
    .object({
      name: nameText('the work a name'),
      kind: z.enum(EXTRA_KINDS),
      unit: typed(parseMoney(currency)),
      tax: typed(parseRate),
    })
    .transform(({ unit, tax, ...rest }): PriceItemFacts => ({
      ...rest,
      unitMinor: unit,
      taxBp: tax,
    }));

export type ItemEntry = z.input<ReturnType<typeof itemSchema>>;

export const itemEntryOf = (facts: PriceItemFacts, currency: string): ItemEntry => ({
  name: facts.name,
  kind: facts.kind,
  unit: moneyFigure(facts.unitMinor, currency),
  tax: String(facts.taxBp / 100),
});

const templateText = (kind: MessageKind, most: number) =>
  typed((text) => checkTemplate(kind, text.trim())).pipe(
    z.string().min(1, 'A message needs words.').max(most, `Up to ${most} letters.`),
  );

const template = (kind: MessageKind) =>
  z.object({ subject: templateText(kind, 150), text: templateText(kind, 3000) });

export const templatesEntrySchema = z.object({
  ready: template('ready'),
  due: template('due'),
  receipt: template('receipt'),
});

export type TemplatesEntry = Templates;
