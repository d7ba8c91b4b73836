/** Any document in JSON, read by its schema or refused with the part that is wrong. */
import { type z } from 'zod';
import { failure, success, type Result } from '@/core/terms/result';

/** No document of one thing comes near it. */
const MOST_LETTERS = 2_000_000;

export function readJson<T>(text: string, schema: z.ZodType<T>, what: string): Result<T> {
  if (text.length > MOST_LETTERS) return failure('document.too long', { what });
  let found: unknown;
  try {
    found = JSON.parse(text);
  } catch {
    return failure('document.no json', { what });
  }
  const read = schema.safeParse(found);
  if (read.success) return success(read.data);
  const [issue] = read.error.issues;
  return failure('document.wrong', {
    what,
    where: issue?.path.join('.') || 'the whole',
    why: issue?.message ?? '',
  });
}
