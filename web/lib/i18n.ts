import { flOzOfGrams } from '@cimbel/core/measure';
import type { HouseRules } from '@cimbel/core/theory';
import i18next, { type TFunction, type i18n as I18n } from 'i18next';
import { initReactI18next } from 'react-i18next';
import ui from '../locales/en/ui.json';

/**
 * Every word shown comes from the locale files. Reasons of the core are codes with parameters; the formats below turn a
 * parameter into the craft's own notation, so that a sentence reads `{{given, level}}` and nothing is put together by hand.
 * What the first page needs comes with it; the rest (`lib/words`) with the first page that speaks it.
 */
const FIRST = { en: { ui } } as const;
const RIGHT_TO_LEFT = new Set(['ar', 'fa', 'he', 'ur']);

const number = (digits: number) => (value: number, language?: string) =>
  new Intl.NumberFormat(language, { maximumFractionDigits: digits }).format(value);

/** A figure as the language of the page writes it, thousands not set apart; `digits` behind the point, always all of them. */
export const figure = (value: number, language?: string, digits?: number): string =>
  new Intl.NumberFormat(language ?? i18n.language, {
    useGrouping: false,
    minimumFractionDigits: digits ?? 0,
    maximumFractionDigits: digits ?? 3,
  }).format(value);

export type Units = HouseRules['units'];

/** Grams as a school writes them (M3): an ounce is divided into hundredths. */
const WRITTEN: Record<Units, (grams: number, language?: string, least?: number) => string> = {
  grams: (grams, language, least = 0) =>
    `${new Intl.NumberFormat(language, { minimumFractionDigits: least, maximumFractionDigits: 1 }).format(grams)} g`,
  flOz: (grams, language) =>
    `${new Intl.NumberFormat(language, { minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(flOzOfGrams(grams))} fl oz`,
};

/** Teaches an instance the craft's notation. */
function teach(words: I18n, units: Units): I18n {
  void words.init({
    resources: FIRST,
    lng: 'en',
    fallbackLng: 'en',
    defaultNS: 'ui',
    showSupportNotice: false,
    // React escapes what it shows; escaping twice would show entities.
    interpolation: { escapeValue: false },
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
  formatter.add('minutes', (value, language) => `${number(0)(value, language)} min`);
  formatter.add('vol', (value, language) => `${number(1)(value, language)} vol`);
  formatter.add('points', number(2));
  formatter.add('whole', number(0));
  formatter.add('tenths', number(1));
  formatter.add('signed', (value, language) =>
    new Intl.NumberFormat(language, { maximumFractionDigits: 1, signDisplay: 'exceptZero' }).format(value),
  );
  formatter.add('percent', (value, language) => `${number(1)(value, language)} %`);
  formatter.add('flOz', (value, language) => `${number(2)(value, language)} fl oz`);
  formatter.add('start', (value, language) =>
    typeof value === 'number' ? `${number(0)(value, language)} min` : String(value),
  );
  formatter.add('rinse', (value, language) =>
    typeof value === 'number' ? `${number(0)(value, language)} min` : words.t('lab.never'),
  );
  formatter.add('labHeat', (value) => words.t(`lab.heats.${value}`));
  // A history as codes, `lightened 9, permanent 5 copper`, each word by the list that has it.
  const ofPast = (code: string) =>
    ['past', 'tone', 'vivid', 'treatment', 'yellow']
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
  formatter.add('ratio', (value, language) => `1 : ${number(2)(value, language)}`);
  formatter.add('share', (value, language) =>
    new Intl.NumberFormat(language, { style: 'percent', maximumFractionDigits: 0 }).format(value),
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
    'condition',
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

export type Namespace = 'ui' | 'craft' | 'drill' | 'reasons' | 'people' | 'assigning' | 'handbook';
/** Adds words that came later to those that are there. */
export function addWords(namespace: Namespace, words: object): void {
  for (const instance of [i18n, inOunces]) instance.addResourceBundle('en', namespace, words, true, true);
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

export function applyDirection(language: string): void {
  document.documentElement.lang = language;
  document.documentElement.dir = RIGHT_TO_LEFT.has(language.split('-')[0]) ? 'rtl' : 'ltr';
}
