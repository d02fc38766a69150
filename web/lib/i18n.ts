import { flOzOfGrams } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';
import i18next, { type TFunction, type i18n as I18n } from 'i18next';
import { initReactI18next } from 'react-i18next';
import ui from '../locales/en/ui.json';

/**
 * Every word shown comes from the locale files. Reasons of the core are codes with parameters; the formats below turn a
 * parameter into the craft's own notation, so that a sentence reads `{{given, level}}` and nothing is put together by hand.
 * What the first page needs comes with it; the rest (`lib/words`) with the first page that speaks it.
 */
const FIRST = { en: { ui } } as const;
/** English made strange: longer, accented, and from right to left. Journeys run in it. */
const PSEUDO = 'en-XB';
const RIGHT_TO_LEFT = new Set(['ar', 'fa', 'he', 'ur', PSEUDO]);

const formats = new Map<string, Intl.NumberFormat>();
/** A way to write figures, made once: making one takes longer than a hundred figures, and a page writes hundreds with every key. */
function formatIn(language: string | undefined, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const name = JSON.stringify([language, options]);
  const format = formats.get(name) ?? new Intl.NumberFormat(language, options);
  formats.set(name, format);
  return format;
}

const number = (digits: number) => (value: number, language?: string) =>
  formatIn(language, { maximumFractionDigits: digits }).format(value);

/** A figure as the language of the page writes it, thousands not set apart; `digits` behind the point, always all of them. */
export const figure = (value: number, language?: string, digits?: number): string =>
  formatIn(language ?? i18n.language, {
    useGrouping: false,
    minimumFractionDigits: digits ?? 0,
    maximumFractionDigits: digits ?? 3,
  }).format(value);

export type Units = HouseRules['units'];

/** A figure with its unit, as the language puts them together. */
const measured = (unit: 'grams' | 'flOz' | 'minutes' | 'vol' | 'percent' | 'ratio', value: string): string =>
  i18n.t(`measured.${unit}`, { value });

/** Grams as a school writes them (M3): an ounce is divided into hundredths. */
const WRITTEN: Record<Units, (grams: number, language?: string, least?: number) => string> = {
  grams: (grams, language, least = 0) =>
    measured(
      'grams',
      formatIn(language, { minimumFractionDigits: least, maximumFractionDigits: 1 }).format(grams),
    ),
  flOz: (grams, language) =>
    measured(
      'flOz',
      formatIn(language, { minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(flOzOfGrams(grams)),
    ),
};

/** Teaches an instance the craft's notation. */
function teach(words: I18n, units: Units): I18n {
  void words.init({
    resources: FIRST,
    lng: 'en',
    fallbackLng: 'en',
    defaultNS: 'ui',
    showSupportNotice: false,
    // Words of a page that come after it are shown as soon as they are there.
    react: { bindI18nStore: 'added' },
    interpolation: {
      // React escapes what it shows. A name or a label in a line that runs from right to left is held together instead.
      escapeValue: true,
      escape: (value) => (isRightToLeft(words.language) ? `\u2068${value}\u2069` : value),
    },
  });
  const formatter = words.services.formatter!;
  formatter.add('level', number(2));
  formatter.add('levels', (value) =>
    value === 0.5 ? words.t('halfALevel', { ns: 'craft' }) : words.t('levels', { ns: 'craft', count: value }),
  );
  for (const counted of ['weeks', 'visits', 'times'] as const)
    formatter.add(counted, (value) => words.t(counted, { ns: 'craft', count: value }));
  formatter.add('grams', (value, language) => WRITTEN[units](value, language));
  // As a scale shows it, the last place always there.
  formatter.add('weighed', (value, language) => WRITTEN[units](value, language, 1));
  // Where grams are what is spoken of.
  formatter.add('inGrams', (value, language) => WRITTEN.grams(value, language));
  formatter.add('minutes', (value, language) => measured('minutes', number(0)(value, language)));
  formatter.add('vol', (value, language) => measured('vol', number(1)(value, language)));
  formatter.add('points', number(2));
  formatter.add('whole', number(0));
  formatter.add('tenths', number(1));
  formatter.add('hundredths', number(2));
  // An amount in the currency that the words are given with it.
  formatter.add('money', (value, language, { currency }: { currency?: string }) =>
    formatIn(language, { style: 'currency', currency }).format(value),
  );
  formatter.add('signed', (value, language) =>
    formatIn(language, { maximumFractionDigits: 1, signDisplay: 'exceptZero' }).format(value),
  );
  formatter.add('percent', (value, language) => measured('percent', number(1)(value, language)));
  formatter.add('flOz', (value, language) => measured('flOz', number(2)(value, language)));
  formatter.add('start', (value, language) =>
    typeof value === 'number' ? measured('minutes', number(0)(value, language)) : String(value),
  );
  formatter.add('rinse', (value, language) =>
    typeof value === 'number' ? measured('minutes', number(0)(value, language)) : words.t('lab.never'),
  );
  formatter.add('labHeat', (value) => words.t(`lab.heats.${value}`));
  // A history as codes, `lightened 9, permanent 5 copper`, each word by the list that has it.
  const ofPast = (code: string) =>
    ['past', 'tone', 'vivid', 'treatment', 'yellow', 'chemical']
      .map((list) => words.t(`${list}.${code}`, { ns: 'craft', defaultValue: '' }))
      .find((word) => word !== '') ?? code;
  formatter.add('past', (value) =>
    String(value) === ''
      ? words.t('history.untouched', { ns: 'craft' })
      : String(value)
          .split(', ')
          .map((layer) => layer.split(' ').map(ofPast).join(' '))
          .join(', '),
  );
  formatter.add('ratio', (value, language) => measured('ratio', number(2)(value, language)));
  formatter.add('share', (value, language) =>
    formatIn(language, { style: 'percent', maximumFractionDigits: 0 }).format(value),
  );
  for (const list of [
    'tone',
    'underlay',
    'counter',
    'service',
    'density',
    'timerStarts',
    'product',
    'history',
    'vivid',
    'porosity',
    'diameter',
    'zone',
    'yesNo',
    'water',
    'shampoo',
    'condition',
    'chemical',
    'light',
    'place',
    'temperature',
    'scalp',
    'watch',
    'dilutionRule',
    'route',
    'layer',
    'question',
    'hairTest',
    'aftercare',
    'wash',
    'refreshWay',
    'stretch',
    'shadeDose',
    'counterDose',
    'because',
  ] as const) {
    formatter.add(list, (value, _language, options: { cap?: boolean }) => {
      const word = words.t(`${list}.${value}`, { ns: 'craft' });
      // For a word that begins a sentence.
      return options.cap ? capital(word) : word;
    });
  }
  formatter.add('headZone', (value, _language, options: { cap?: boolean }) => {
    const word = placeWord(words.t, String(value));
    return options.cap ? capital(word) : word;
  });
  for (const list of ['area', 'region', 'taken', 'watchedFor', 'station'] as const)
    formatter.add(list, (value) => words.t(`${list}.${value}`, { ns: 'craft' }));
  return words;
}

/** A place in words: its zone, and its region where the head has several. A name of a zone alone is that zone's. */
export function placeWord(t: I18n['t'] | TFunction<readonly string[]> | TFunction, place: string): string {
  const [zone, region] = place.split('-').reverse();
  const of = t as I18n['t'];
  const word = of(`headZone.${zone}`, { ns: 'craft' });
  return region === undefined ? word : of('placeIn', { ns: 'craft', zone: word, region });
}

/** A word or sentence begun with a capital. */
export const capital = (text: string) => text.charAt(0).toLocaleUpperCase() + text.slice(1);

export const i18n = teach(i18next.createInstance().use(initReactI18next), 'grams');
const inOunces = teach(i18next.createInstance(), 'flOz');
/** English here is written as in Britain, day before month. */
const DATES_OF: Record<string, string> = { en: 'en-GB' };

export type Namespace =
  | 'ui'
  | 'craft'
  | 'drill'
  | 'reasons'
  | 'people'
  | 'assigning'
  | 'handbook'
  | 'live'
  | 'calendar'
  | 'search'
  | 'shortcuts'
  | 'paper'
  | 'pile'
  | 'gradebook'
  | 'appointments';

/** Files of words in other languages: by language, then by the name of the file, as English has it. */
export type WordFiles = Record<string, Record<string, () => Promise<object>>>;

/** Words that have been added: their files in English, and what is made of them. */
interface Part {
  namespace: Namespace;
  files: Record<string, object>;
  build: (files: Record<string, object>) => object;
}
const parts: Part[] = [{ namespace: 'ui', files: { ui }, build: ({ ui: words }) => words }];
let others: WordFiles = {};
const instances = () => [i18n, inOunces];

async function addIn(language: string, { namespace, files, build }: Part): Promise<void> {
  const made =
    language === PSEUDO
      ? (await import('./pseudo')).pseudoWords(build(files))
      : build(
          Object.fromEntries(
            await Promise.all(
              // What a language lacks is said in English.
              Object.entries(files).map(async ([name, english]) => [
                name,
                (await others[language]?.[name]?.()) ?? english,
              ]),
            ),
          ) as Record<string, object>,
        );
  for (const one of instances()) one.addResourceBundle(language, namespace, made, true, true);
}

/** Adds words that came later to those that are there, by the files they are in; in another language as soon as they come. */
export function addWords<F extends Record<string, object>>(
  namespace: Namespace,
  files: F,
  build: (files: F) => object = (all) => Object.assign({}, ...Object.values(all)) as object,
): void {
  const part: Part = { namespace, files, build: build as Part['build'] };
  parts.push(part);
  for (const one of instances()) one.addResourceBundle('en', namespace, build(files), true, true);
  if (i18n.language !== 'en') void addIn(i18n.language, part);
}

/** Says which languages there are beside English. */
export function offerLanguages(files: WordFiles): void {
  others = files;
}
const isThere = (language: string) => language === 'en' || language === PSEUDO || language in others;

/** Speaks the first of these languages that there is, or what it is a dialect of; English where there is none of them. */
export async function speakOneOf(wanted: readonly string[]): Promise<string> {
  const language = wanted.flatMap((name) => [name, name.split('-')[0]]).find(isThere) ?? 'en';
  if (language !== 'en') await Promise.all(parts.map((part) => addIn(language, part)));
  for (const one of instances()) await one.changeLanguage(language);
  return language;
}

/** The same words, with amounts as a class measures them. */
export const wordsIn = (units: Units): I18n => (units === 'flOz' ? inOunces : i18n);

const inLanguage = (options: Intl.DateTimeFormatOptions) => (when: string | number) =>
  new Intl.DateTimeFormat(DATES_OF[i18n.language] ?? i18n.language, options).format(new Date(when));
/** Day and time, as the language of the page writes them. */
export const dateTime = inLanguage({
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  hourCycle: 'h23',
});
export const dayAndMonth = inLanguage({ day: 'numeric', month: 'short' });
/** A day without a time, `2026-12-02`, written out. */
export const fullDate = inLanguage({ day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });

/** Time that is left, minutes and seconds: one run of figures in any direction of writing. */
export const timeLeft = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

export const isRightToLeft = (language = 'en') =>
  [language, language.split('-')[0]].some((name) => RIGHT_TO_LEFT.has(name));

export function applyDirection(language: string): void {
  document.documentElement.lang = language;
  document.documentElement.dir = isRightToLeft(language) ? 'rtl' : 'ltr';
}
