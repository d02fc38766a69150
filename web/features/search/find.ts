import type { FoundKind, SearchEntry } from '@cimbel/contract';
import MiniSearch from 'minisearch';
import { plainText } from '../../lib/plain-text';

/** Something to look for: what the server told of, or a rule of the handbook. */
export interface Findable {
  /** Tells it from all others. */
  key: string;
  kind: FoundKind | 'rule';
  title: string;
  /** Name of its class, or the words of a rule; empty where there are none. */
  text: string;
  also: string;
  /** Address of its page. */
  to: string;
}

/** Most that are shown at once: they are seen without moving the list. */
const MOST_SHOWN = 9;

/** Where a thing is opened. */
const PAGE_OF: Record<FoundKind, (entry: SearchEntry, teaches: boolean) => string> = {
  class: ({ id }) => `/classes/${id}`,
  student: ({ id, classId }) => `/classes/${classId}/gradebook/${id}`,
  assignment: ({ id }, teaches) => (teaches ? `/assignments/${id}` : `/due/${id}`),
  test: ({ id }, teaches) => (teaches ? `/reading-tests/${id}` : `/reading/tests/${id}`),
  practice: ({ classId }) => `/classes/${classId}/reading`,
  exercise: ({ id }) => `/library/${id}`,
  chart: ({ id }) => `/shade-books/${id}`,
  line: ({ id }) => `/shade-books/shipped/${id}`,
};

export const toFindable = (entry: SearchEntry, teaches: boolean): Findable => ({
  key: `${entry.kind} ${entry.id} ${entry.classId ?? ''}`,
  kind: entry.kind,
  title: entry.title,
  text: entry.kind === 'class' ? '' : (entry.className ?? ''),
  also: entry.also,
  to: PAGE_OF[entry.kind](entry, teaches),
});

/** A rule by its id; it is looked for by its words as well. */
export const ruleToFind = (rule: string, text: string): Findable => ({
  key: `rule ${rule}`,
  kind: 'rule',
  title: rule,
  text,
  also: '',
  to: `/handbook#${rule}`,
});

/** Words of a name or a text, accents and case left out; a sign between letters parts them. */
const wordsOf = (text: string) => plainText(text).split(/[^\p{L}\p{N}]+/u);

/** Slips of the finger that are forgiven in a word: none in a short one or a number, one in five letters. */
const slipsIn = (word: string) => (word.length < 4 || /\d/.test(word) ? 0 : 0.2);

/** A text from the sentence on in which one of the words first stands; all of it where none does. */
function sentenceWith(text: string, words: readonly string[]): string {
  const sentences = text.split(/(?<=[.;:?!])\s+/);
  const first = sentences.findIndex((sentence) => wordsOf(sentence).some((word) => words.includes(word)));
  return first > 0 ? `… ${sentences.slice(first).join(' ')}` : text;
}

/**
 * Finds by the beginnings of words in any order, with a slip of the finger; what carries the words in its title or number comes
 * before what has them in its text.
 */
export function finder(things: readonly Findable[]): (words: string) => Findable[] {
  const byKey = new Map(things.map((thing) => [thing.key, thing]));
  const index = new MiniSearch<Findable>({
    idField: 'key',
    fields: ['title', 'also', 'text'],
    tokenize: wordsOf,
    processTerm: (term) => (term === '' ? null : term),
    searchOptions: { boost: { title: 4, also: 4 }, prefix: true, fuzzy: slipsIn, combineWith: 'AND' },
  });
  index.addAll([...byKey.values()]);
  return (words) =>
    index
      .search(words)
      .slice(0, MOST_SHOWN)
      .map(({ id, terms }) => {
        const thing = byKey.get(id as string)!;
        return { ...thing, text: sentenceWith(thing.text, terms) };
      });
}
