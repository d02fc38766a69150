import type { ToneFamily } from '../colour';
import type { Density, Porosity, Service } from '../hair';
import { shippedLine } from '../shades';
import { computeKey, type Case, type Key, type KeyResult } from '../solve';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../theory';
import { answerOfKey, type Answer } from '../grade';

interface CaseWords {
  natural: number;
  target: number;
  tone?: ToneFamily;
  secondary?: ToneFamily;
  grey?: number;
  porosity?: Porosity;
  service?: Service;
  density?: Density;
  lineId?: string;
}

/** A case in few words, for tests: everything not said is plain. */
export function aCase(words: CaseWords): Case {
  return {
    client: { name: 'Test head', note: '' },
    zone: {
      naturalLevel: words.natural,
      greyShare: words.grey ?? 0,
      porosity: words.porosity ?? 'normal',
      diameter: 'medium',
    },
    service: words.service ?? 'shortAllOver',
    density: words.density ?? 'medium',
    target: {
      level: words.target,
      tone: { primary: words.tone ?? 'neutral', ...(words.secondary ? { secondary: words.secondary } : {}) },
    },
    lineId: words.lineId ?? 'tarnwick',
  };
}

/** Property tests ask for the same few keys thousands of times; the key is a pure function, so it may be kept. */
const known = new Map<string, KeyResult>();
function compute(kase: Case, house: Partial<HouseRules>): KeyResult {
  const name = JSON.stringify([kase, house]);
  const result =
    known.get(name) ?? computeKey(kase, shippedLine(kase.lineId)!, { ...DEFAULT_HOUSE_RULES, ...house });
  known.set(name, result);
  return result;
}

export function keyOf(kase: Case, house: Partial<HouseRules> = {}): Key {
  const result = compute(kase, house);
  if (!result.ok) throw new Error(`no key: ${result.reasons.map(({ code }) => code).join()}`);
  return result.key;
}

export function refusalOf(kase: Case, house: Partial<HouseRules> = {}): string | null {
  const result = compute(kase, house);
  return result.ok ? null : result.reasons[0].code;
}

/** The key's own answer with changes. */
export const perfectAnswer = (kase: Case, key: Key, change: Partial<Answer> = {}): Answer => ({
  ...answerOfKey(kase, key),
  ...change,
});
