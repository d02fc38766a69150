import { plainText } from '../../lib/plain-text';
import { sameTag, type Exercise } from '@cimbel/contract';

export const SORTS = ['updated', 'title', 'used'] as const;
export type Sort = (typeof SORTS)[number];

/** How a library is looked through. */
export interface Looking {
  search: string;
  /** One tag; empty for all. */
  tag: string;
  sort: Sort;
  archivedToo: boolean;
}

/** Exercises that hold every word looked for, in title, client or tags. */
export function found(
  exercises: readonly Exercise[],
  { search, tag, sort, archivedToo }: Looking,
): Exercise[] {
  const words = plainText(search)
    .split(/\s+/)
    .filter((word) => word !== '');
  const by: Record<Sort, (a: Exercise, b: Exercise) => number> = {
    updated: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
    title: (a, b) => a.title.localeCompare(b.title),
    used: (a, b) => b.assignments - a.assignments,
  };
  return exercises
    .filter(({ archived }) => archivedToo || !archived)
    .filter(({ tags }) => tag === '' || tags.some((one) => sameTag(one, tag)))
    .filter(({ title, tags, clientCase: { client, title: of } }) => {
      const text = plainText([title, of, client.name, ...tags].join(' '));
      return words.every((word) => text.includes(word));
    })
    .sort(by[sort]);
}

/** Tags that are borne, each once, in order. */
export const tagsOf = (exercises: readonly Exercise[]): string[] =>
  exercises
    .flatMap(({ tags }) => tags)
    .filter((tag, i, all) => all.findIndex((name) => sameTag(name, tag)) === i)
    .sort((a, b) => a.localeCompare(b));
