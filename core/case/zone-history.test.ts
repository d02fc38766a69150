import fc from 'fast-check';
import { type HistoryLayer, type ZoneOfHead, type Head, headSchema, levelOfPigmented } from '../hair';
import { strandOfZone } from './strands';
import { uppermostHistory, presentLevel, zoneReadAs } from './zone-history';

const zone = (history: HistoryLayer[], change: Partial<ZoneOfHead> = {}): ZoneOfHead => ({
  zone: 'mids',
  lengthCm: 15,
  naturalLevel: 5,
  greyShare: 0,
  porosity: 'normal',
  history,
  damage: 0,
  ...change,
});
const head = (zone: ZoneOfHead): Head => ({
  zones: [zone],
  diameter: 'medium',
  density: 'medium',
  length: 'shoulderAllOver',
  form: 'straight',
});
const ash = { primary: 'ash' } as const;
const lightened = (level: number): HistoryLayer => ({ kind: 'lightened', level });

describe('what a history by layers comes to', () => {
  it('goes by what lies uppermost; treatments are no colour', () => {
    expect(uppermostHistory(zone([{ kind: 'treated', treatment: 'bond' }]))).toEqual({ kind: 'untouched' });
    expect(uppermostHistory(zone([lightened(9)]))).toEqual({ kind: 'lightened', level: 9 });
    expect(
      uppermostHistory(zone([lightened(9), { kind: 'permanent', level: 5, tone: ash, faded: 0.4 }])),
    ).toEqual({
      kind: 'coloured',
      level: 5,
      tone: ash,
      faded: 0.4,
      layers: 1,
    });
    expect(uppermostHistory(zone([{ kind: 'permanent', level: 5, tone: ash }, lightened(8)]))).toEqual({
      kind: 'lightened',
      level: 8,
    });
  });

  it('a vivid dye counts until nine tenths of it are gone, over the level of the hair beneath', () => {
    const pink = (faded: number): HistoryLayer => ({ kind: 'direct', dye: 'directPink', faded });
    expect(uppermostHistory(zone([lightened(9), pink(0.89)]))).toMatchObject({ kind: 'vivid', level: 9 });
    expect(uppermostHistory(zone([lightened(9), pink(0.91)]))).toEqual({ kind: 'lightened', level: 9 });
    expect(uppermostHistory(zone([pink(0)]))).toMatchObject({ kind: 'vivid', level: 5 });
  });

  it('toner built up on lightened hair dulls it, and it is lightened hair still; a deep one makes it coloured', () => {
    const toned = (level: number, times: number): HistoryLayer => ({ kind: 'demi', level, tone: ash, times });
    const built = uppermostHistory(zone([lightened(9), toned(9, 6)]));
    expect(built.kind).toBe('lightened');
    expect(built).toMatchObject({ level: expect.any(Number) });
    expect(presentLevel(zone([lightened(9), toned(9, 6)]))).toBeLessThan(9);
    expect(uppermostHistory(zone([lightened(9), toned(5, 1)])).kind).toBe('coloured');
    expect(uppermostHistory(zone([toned(5, 1)]))).toMatchObject({ kind: 'coloured', level: 5 });
  });

  it('is laid down by the hair model: the level that is named is the level that shows', () => {
    const half = (least: number, most: number) =>
      fc.integer({ min: least * 2, max: most * 2 }).map((n) => n / 2);
    fc.assert(
      fc.property(half(3, 8), half(3, 10), fc.boolean(), (natural, level, bared) => {
        const layers: HistoryLayer[] = bared
          ? [lightened(Math.max(natural, level))]
          : [{ kind: 'permanent', level: Math.min(level, natural), tone: { primary: 'neutral' } }];
        const one = zone(layers, { naturalLevel: natural });
        expect(headSchema.safeParse(head(one)).success).toBe(true);
        const shown = levelOfPigmented(strandOfZone(head(one), 'mids'));
        expect(Math.abs(shown - presentLevel(one))).toBeLessThan(0.3);
      }),
      { numRuns: 60 },
    );
  });

  it('read as another level, what lies uppermost is of that level and nothing else changes', () => {
    const one = zone([lightened(9), { kind: 'permanent', level: 5, tone: ash }]);
    const read = zoneReadAs(one, 6);
    expect(presentLevel(read)).toBe(6);
    expect(read.history[0]).toEqual(lightened(9));
    expect(presentLevel(zoneReadAs(zone([]), 6))).toBe(6);
    expect(presentLevel(one)).toBe(5);
  });
});
