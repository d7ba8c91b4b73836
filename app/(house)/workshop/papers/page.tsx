import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { USUAL_TEMPLATES } from '@/core/papers/messages';
import { rateWords } from '@/core/papers/invoice';
import { formatMoney } from '@/core/measure/money';
import { addItem, changeItem, removeItem, savePapers, saveTemplates } from './actions';
import { ItemForm, PapersForm, TemplatesForm } from '@/app/(house)/when-used';
import { itemEntryOf, papersEntryOf } from './papers-entry';

export const metadata: Metadata = { title: 'Papers and prices' };

/** What stands on the papers, what extra work costs, and the words to clients. */
export default async function PapersPage() {
  const { workshop, priceList } = await openFor('change the workshop');
  const { id, version, currency, locale } = workshop;
  const items = await priceList.all();
  return (
    <main className="grid gap-x-14 gap-y-10 px-6 py-6 lg:grid-cols-2">
      <h1 className="figure text-4xl lg:col-span-2">Papers and prices</h1>
      <div className="flex flex-col gap-12">
        <PapersForm
          key={`papers ${version}`}
          name={`papers ${id}`}
          version={version}
          initial={papersEntryOf(workshop)}
          save={savePapers.bind(null, id, version)}
        />
        <section>
          <h2 className="figure mb-2 text-2xl">Price list for extra work</h2>
          {items.map((item) => (
            <details key={item.id} className="border-hair border-b">
              <summary className="flex cursor-pointer justify-between gap-6 py-1.5">
                <span>{item.name}</span>
                <span>
                  <span className="figure text-lg">
                    {formatMoney(item.unitMinor, currency, locale)}
                  </span>{' '}
                  <span className="label">{rateWords(item.taxBp)} tax</span>
                </span>
              </summary>
              <ItemForm
                key={item.version}
                name={`price ${item.id}`}
                version={item.version}
                initial={itemEntryOf(item, currency)}
                currency={currency}
                save={changeItem.bind(null, id, item.id, item.version)}
                action="Save the price"
                remove={removeItem.bind(null, id, item.id)}
              />
            </details>
          ))}
          <details className="mt-3">
            <summary className="cursor-pointer underline">Add work to the list</summary>
            <ItemForm
              key={items.length}
              name={`price new ${items.length}`}
              initial={{
                name: '',
                kind: 'other',
                unit: '',
                tax: String(workshop.stringTaxBp / 100),
              }}
              currency={currency}
              save={addItem.bind(null, id, randomUUID())}
              action="Add it"
            />
          </details>
        </section>
      </div>
      <section>
        <h2 className="figure mb-4 text-2xl">Words to clients</h2>
        <TemplatesForm
          key={`words ${version}`}
          name={`words ${id}`}
          version={version}
          initial={workshop.templates ?? USUAL_TEMPLATES}
          save={saveTemplates.bind(null, id, version)}
        />
      </section>
    </main>
  );
}
