/**
 * Loaded before every command (`run.mjs`): what the system refuses it ends in a sentence, for a disk can be full anywhere. Whatever
 * nobody foresaw is shown as it is.
 */
import { sentenceFor } from './sentences';

function sentenceOf(error: unknown): string | undefined {
  for (let each: unknown = error; each instanceof Error; each = each.cause) {
    const said = sentenceFor(each);
    if (said !== undefined) return said;
  }
  return undefined;
}

process.on('uncaughtException', (error) => {
  console.error(sentenceOf(error) ?? error);
  process.exit(1);
});
