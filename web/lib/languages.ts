import { applyDirection, offerLanguages, speakOneOf, type WordFiles } from './i18n';
import { keep, readKept } from './storage';

const KEPT = 'cimbel.language';
/** English comes with the pages; any other language is a folder of files of the same names. */
const FILES = import.meta.glob<{ default: object }>(['../locales/*/*.json', '!../locales/en/*.json']);

/** Folders of words, by language and name of the file. */
const byLanguage = Object.entries(FILES).reduce<WordFiles>((all, [path, load]) => {
  const [, language, file] = /locales\/([^/]+)\/([^/]+)\.json$/.exec(path)!;
  return { ...all, [language]: { ...all[language], [file]: async () => (await load()).default } };
}, {});

/**
 * The language this browser is set to, if there are words in it: by `?language=` in the address, which is kept, or as its
 * owner reads. `en-XB` is English written from right to left, longer and accented, to see what a language would break.
 */
export async function speak(): Promise<void> {
  offerLanguages(byLanguage);
  const asked = new URLSearchParams(window.location.search).get('language');
  if (asked) keep(KEPT, asked);
  const wanted = [asked, readKept<string>(KEPT), ...navigator.languages];
  const language = await speakOneOf(wanted.filter((name): name is string => Boolean(name)));
  applyDirection(language);
}
