import { format as formatDate } from 'date-fns';
import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import consultReasons from '../locales/en/consult-reasons.json';
import craft from '../locales/en/craft.json';
import drill from '../locales/en/drill.json';
import drillReasons from '../locales/en/drill-reasons.json';
import reasons from '../locales/en/reasons.json';
import routeReasons from '../locales/en/route-reasons.json';
import serviceReasons from '../locales/en/service-reasons.json';
import ui from '../locales/en/ui.json';

/**
 * Every word shown comes from the locale files. Reasons of the core are codes with parameters; the formats below turn a
 * parameter into the craft's own notation, so that a sentence reads `{{given, level}}` and nothing is put together by hand.
 */
export const LOCALES = {
  en: {
    ui,
    craft,
    drill,
    reasons: {
      ...reasons,
      drill: drillReasons,
      service: serviceReasons,
      route: routeReasons,
      ...consultReasons,
    },
  },
} as const;
const RIGHT_TO_LEFT = new Set(['ar', 'fa', 'he', 'ur']);

const number = (digits: number) => (value: number, language?: string) =>
  new Intl.NumberFormat(language, { maximumFractionDigits: digits }).format(value);

export const i18n = i18next.createInstance();
void i18n.use(initReactI18next).init({
  resources: LOCALES,
  lng: 'en',
  fallbackLng: 'en',
  defaultNS: 'ui',
  showSupportNotice: false,
  // React escapes what it shows; escaping twice would show entities.
  interpolation: { escapeValue: false },
});

const formatter = i18n.services.formatter!;
formatter.add('level', number(2));
formatter.add('levels', (value) => i18n.t('levels', { ns: 'craft', count: value }));
for (const counted of ['weeks', 'visits'] as const)
  formatter.add(counted, (value) => i18n.t(counted, { ns: 'craft', count: value }));
formatter.add('grams', (value, language) => `${number(1)(value, language)} g`);
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
  'headZone',
  'route',
  'layer',
  'question',
  'hairTest',
  'aftercare',
] as const) {
  formatter.add(list, (value, _language, options: { cap?: boolean }) => {
    const words = i18n.t(`${list}.${value}`, { ns: 'craft' });
    // For a word that begins a sentence.
    return options.cap ? words.charAt(0).toLocaleUpperCase() + words.slice(1) : words;
  });
}

export const dateTime = (iso: string) => formatDate(new Date(iso), 'EEE d MMM, HH:mm');

export function applyDirection(language: string): void {
  document.documentElement.lang = language;
  document.documentElement.dir = RIGHT_TO_LEFT.has(language.split('-')[0]) ? 'rtl' : 'ltr';
}
