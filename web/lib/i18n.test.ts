import { newId } from './id';
import { forget, keep, readKept } from './storage';
import { LOCALES } from '../testing/locales';
import { i18n, timeLeft } from './i18n';

const reasons = (code: string, params: object) => i18n.t(code, { ns: 'reasons', ...params });

describe('time that is left', () => {
  it.each([
    [0, '0:00'],
    [59.9, '0:59'],
    [60, '1:00'],
    [1785, '29:45'],
  ])('of %d s is %s', (seconds, text) => expect(timeLeft(seconds)).toBe(text));
});

describe('the craft’s own notation', () => {
  it('writes figures with their units, and shares as percent', () => {
    expect(reasons('mark.amount.right', { bowl: 'A', given: 102.5 })).toContain('102.5 g');
    expect(reasons('mark.ratio.turned', { bowl: 'A', line: 'X', expected: 1.5 })).toContain('1 : 1.5');
    expect(reasons('mark.greyShare.right', { zone: 'mids', given: 1 / 3, grey: 0.5 })).toContain('33%');
    expect(reasons('mark.developer.right', { zone: 'mids', given: 20 })).toContain('20 vol');
  });

  it('counts levels as one or more, halves and darker ones too', () => {
    expect(reasons('lift.levelsToMove', { natural: 5, target: 6, levels: 1 })).toBe(
      '5 to 6: 1 level to move.',
    );
    expect(reasons('lift.levelsToMove', { natural: 7, target: 5.5, levels: -1.5 })).toContain('-1.5 levels');
  });

  it('begins a sentence with a capital also where a word of the craft stands first', () => {
    expect(reasons('tone.neutralise', { underlay: 'yellowOrange', counter: 'blueViolet' })).toBe(
      'Yellow-orange is not wanted here; blue with violet neutralises it.',
    );
  });

  it('has a word for every place that asks for one: no value is empty', () => {
    const walk = (tree: object): string[] =>
      Object.values(tree).flatMap((value) => (typeof value === 'string' ? [value] : walk(value)));
    expect(walk(LOCALES.en).filter((text) => text.trim() === '')).toEqual([]);
    // Kind and exact: no exclamation marks.
    expect(walk(LOCALES.en).filter((text) => text.includes('!'))).toEqual([]);
  });
});

describe('what a device keeps', () => {
  it('makes ids that are valid UUIDs and never the same', () => {
    const ids = Array.from({ length: 500 }, newId);
    expect(new Set(ids).size).toBe(500);
    ids.forEach((id) =>
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/),
    );
  });

  it('lives with storage that is closed, full or holds something old', () => {
    expect(readKept('nothing')).toBeNull();
    expect(() => keep('x', 1)).not.toThrow();
    const cache = new Map<string, string>();
    Object.assign(globalThis, {
      localStorage: {
        getItem: (name: string) => cache.get(name) ?? null,
        setItem: (name: string, value: string) => void cache.set(name, value),
        removeItem: (name: string) => void cache.delete(name),
      },
    });
    keep('x', { a: [1] });
    expect(readKept('x')).toEqual({ a: [1] });
    cache.set('x', '{"a":');
    expect(readKept('x')).toBeNull();
    forget('x');
    expect(cache.has('x')).toBe(false);
  });
});
