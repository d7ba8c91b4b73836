import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** The page keeps the accessibility rules, once it has settled: names and colours of a form do when its code has started. */
export const isAccessible = (page: Page): Promise<void> =>
  expect(async () => {
    const { violations } = await new AxeBuilder({ page })
      // There are no frames in a page: without them nothing has to be put together in a page of its own.
      .setLegacyMode()
      .options({ resultTypes: ['violations'] })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
  }).toPass({ timeout: 60_000 });
