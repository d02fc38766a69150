const ACCENTED: Record<string, string> = Object.fromEntries(
  [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter, i) => [
    letter,
    [...'áƀćďéƒĝĥíĵķĺḿńóƥɋŕśťúṽŵẋýźÁɃĆĎÉƑĜĤÍĴĶĹḾŃÓƤɊŔŚŤÚṼŴẊÝŹ'][i],
  ]),
);
/** How much longer words of other languages grow than English ones. */
const LONGER = 0.35;
const FILLER = ' ·longer';

/** A text with every letter accented. */
export const accented = (text: string): string => text.replace(/[a-zA-Z]/g, (letter) => ACCENTED[letter]);

/**
 * A text as some other language would have it: every letter accented, a third longer, between brackets so that one cut off
 * is seen. What stands in braces, for a figure or a name, stays.
 */
export function pseudoText(text: string): string {
  if (text.trim() === '') return text;
  const parts = text.split(/(\{\{.*?\}\}|\$t\(.*?\))/);
  const strange = parts.map((part, i) => (i % 2 === 1 ? part : accented(part)));
  const words = parts.filter((_, i) => i % 2 === 0).join('');
  const more = Math.ceil(words.length * LONGER);
  return `⟦${strange.join('')}${FILLER.repeat(Math.ceil(more / FILLER.length)).slice(0, more)}⟧`;
}

/** All words of a file so. */
export function pseudoWords<W>(words: W): W {
  if (typeof words === 'string') return pseudoText(words) as W;
  if (Array.isArray(words)) return words.map((word: unknown) => pseudoWords(word)) as W;
  return Object.fromEntries(
    Object.entries(words as object).map(([name, one]: [string, unknown]) => [name, pseudoWords(one)]),
  ) as W;
}
