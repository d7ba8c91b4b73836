/** What a browser is timed at, signed in at a demo; the pages are the product's own. */
import type { Page } from '@playwright/test';

export interface Frames {
  readonly aSecond: number;
  /** From frame to frame, ms. */
  readonly gaps: readonly number[];
}

export interface Keys {
  /** From a key to the picture that answers it, ms. */
  readonly waits: readonly number[];
  readonly gaps: readonly number[];
}

/** Pulls the scrubber of a 22 × 22 cut one string a frame, and counts the frames it takes. */
export async function framesWhileScrubbing(page: Page, rounds: number): Promise<Frames> {
  await page.goto('/tickets/404/cut');
  await page.getByRole('slider', { name: 'Strings that are in' }).waitFor();
  await page.waitForTimeout(1000);
  const gaps = await page.evaluate(async (rounds) => {
    const slider = document.querySelector<HTMLInputElement>('input[type=range]');
    const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    if (!slider || !write) return [];
    const most = Number(slider.max);
    const times: number[] = [];
    for (let step = 0; step < rounds * most; step++) {
      write.call(slider, String(step % most));
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      times.push(await new Promise<number>((resolve) => requestAnimationFrame(resolve)));
    }
    return times.slice(1).map((time, i) => time - (times[i] as number));
  }, rounds);
  const meanMs = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
  return { aSecond: 1000 / meanMs, gaps };
}

/** Goes through a badminton job at the bench by key, and times each from the key to the picture that answers it. */
export async function keysAtTheBench(page: Page, keys: number): Promise<Keys> {
  await page.goto('/practice');
  await page.getByRole('link', { name: 'Wexquay Wisp 7' }).click();
  await page.getByRole('button', { name: 'Begin anew' }).waitFor();
  await page.waitForTimeout(1000);
  return await page.evaluate(async (keys) => {
    const main = document.querySelector('main');
    const waits: number[] = [];
    const gaps: number[] = [];
    // Ten keys a second, more than any hand.
    for (let key = 0; key < keys; key++) {
      const before = main?.innerText;
      const pressed = performance.now();
      // A digit answers where it asks, and does nothing elsewhere.
      for (const each of ['1', ' '])
        window.dispatchEvent(new KeyboardEvent('keydown', { key: each, cancelable: true }));
      let last = pressed;
      for (let frame = 0; frame < 6; frame++) {
        const now = await new Promise<number>((resolve) => requestAnimationFrame(resolve));
        if (frame > 0) gaps.push(now - last);
        // The frame after the one in which the picture was drawn: it is on the screen.
        if (frame === 1 && main?.innerText !== before) waits.push(now - pressed);
        last = now;
      }
    }
    return { waits, gaps };
  }, keys);
}
