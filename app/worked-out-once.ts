import { LRUCache } from 'lru-cache';

/**
 * Dear work of the core, done once for what is asked again at every look at a page: the same question has the same answer. `most`
 * answers are kept, those that were asked for last.
 */
export function workedOutOnce<Question extends readonly unknown[], Answer>(
  most: number,
  work: (...question: Question) => Answer,
): (...question: Question) => Answer {
  const answers = new LRUCache<string, { readonly answer: Answer }>({ max: most });
  return (...question) => {
    const key = JSON.stringify(question);
    const known = answers.get(key);
    if (known) return known.answer;
    const answer = work(...question);
    answers.set(key, { answer });
    return answer;
  };
}
