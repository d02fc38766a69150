import fc from 'fast-check';
import { LIGHTS } from '../../colour';
import { outcomesChanged, settingsChanged } from './compare';
import { momentOf, levelsOver } from './sides';
import { type PresetName, PRESETS, PRESET_NAMES } from './presets';
import { LAB_MINUTES, LAB_ZONES, labSchema, readLab, type LabZone, type Side } from './setup';

/** A zone when everything has had the time it was given. */
const finished = (side: Side, zone: LabZone) => momentOf(side, LAB_MINUTES, 'daylight', 1).zones[zone];

/** What the examples show, zone by zone, also what is said of the whole length at once. */
const codes = (name: PresetName) =>
  outcomesChanged(PRESETS[name]).flatMap(({ code, params }) =>
    params.zone === 'whole' ? LAB_ZONES.map((zone) => `${code} ${zone}`) : [`${code} ${params.zone}`],
  );

describe('the laboratory', () => {
  it.each(PRESET_NAMES)('%s is a valid state whose two sides differ, and shows it', (name) => {
    const state = PRESETS[name];
    expect(labSchema.parse(state)).toEqual(state);
    expect(settingsChanged(state).length).toBeGreaterThan(0);
    expect(outcomesChanged(state).length).toBeGreaterThan(0);
  });

  it('shows what each comparison is there to show', () => {
    const shows: Partial<Record<PresetName, string[]>> = {
      hotRoot: ['lab.outcome.deeper root'],
      colourOnColour: ['lab.outcome.lighter mids'],
      dyedIsSlower: ['lab.outcome.lighter mids'],
      tonerTooLight: ['lab.outcome.tone mids'],
      thirtyAgainstForty: ['lab.outcome.lighter mids', 'lab.outcome.moreDamage mids'],
      fineHair: ['lab.outcome.deeper mids'],
      porousEnds: ['lab.outcome.lighter ends'],
      overlap: ['lab.outcome.lighter mids'],
      leftover: ['lab.outcome.lighter mids'],
      greyWithoutNatural: ['lab.outcome.greyLess mids'],
      greyTenVol: ['lab.outcome.greyLess mids'],
      greyTakenOffEarly: ['lab.outcome.greyLess mids'],
      greyByDemi: ['lab.outcome.greyLess mids'],
      resistantGrey: ['lab.outcome.greyLess mids'],
      redWithoutWarmth: ['lab.outcome.stronger mids'],
      fillFirst: ['lab.outcome.tone mids'],
      permanentAsToner: ['lab.outcome.deeper mids', 'lab.outcome.tone mids'],
      removerFirst: ['lab.outcome.tone mids'],
      pinkAgainstGreen: ['lab.outcome.tone mids'],
      wetCleanse: ['lab.outcome.deeper root', 'lab.outcome.lessDamage root'],
      thinCoat: ['lab.outcome.lighter mids', 'lab.outcome.missed mids'],
      neverRinsed: ['lab.outcome.lessDamage mids'],
      lightenedAgain: ['lab.outcome.stretch mids'],
      brightOrCreamy: ['lab.outcome.tone mids'],
      tonerFades: ['lab.outcome.tone mids'],
      careAgainstYellow: ['lab.outcome.tone mids'],
      redsFade: ['lab.outcome.tone mids'],
    };
    for (const [name, found] of Object.entries(shows))
      expect({ name, codes: codes(name as PresetName) }).toEqual({
        name,
        codes: expect.arrayContaining(found),
      });
  });

  it('leaves a zone alone that gets nothing, and stops at the rinse', () => {
    const { a } = PRESETS.overlap;
    const alone = { ...a, coats: [{ ...a.coats[0], starts: { root: 0, mids: null, ends: null } }] };
    const before = momentOf(alone, 0, 'daylight', 1).zones.mids.level;
    expect(momentOf(alone, 60, 'daylight', 1).zones.mids.level).toBe(before);
    expect(finished({ ...a }, 'root')).toEqual(finished(a, 'root'));
    expect(momentOf(a, 36, 'daylight', 1).zones.root.lying).toBe(false);
    expect(momentOf(a, 34, 'daylight', 1).zones.root.lying).toBe(true);
  });

  it('goes on working and hurting where it is never rinsed', () => {
    const { a, b } = PRESETS.neverRinsed;
    expect(momentOf(a, 119, 'daylight', 1).zones.mids.lying).toBe(true);
    expect(finished(a, 'mids').damage).toBeGreaterThan(1.4 * finished(b, 'mids').damage);
  });

  it('reads a link from before there were layers, and nothing else', () => {
    const side = {
      natural: 5,
      white: 0,
      porosity: 'normal',
      endsPorosity: 'high',
      diameter: 'medium',
      form: 'straight',
      history: 'coloured',
      historyLevel: 4,
      historyAtRoot: false,
      product: 'permanent',
      shades: [{ label: '8:0', parts: 1 }],
      vivid: 'directPink',
      fillsLevel: 6,
      vol: 40,
      ratio: 1.5,
      starts: { root: 0, mids: 0, ends: null },
      rinseAt: 35,
      heat: true,
    };
    const read = readLab({ a: side, b: { ...side, history: 'untouched' }, light: 'daylight', minute: 20 })!;
    expect(read.a.past).toEqual([{ kind: 'permanent', level: 4, tone: { primary: 'neutral' } }]);
    expect(read.a).toMatchObject({ pastAtRoot: false, endsPorosity: 'high' });
    expect(read.a.coats[0]).toMatchObject({ product: 'permanent', vol: 40, heat: 'whole', rinseAt: 35 });
    expect(read.b.past).toEqual([]);
    expect(readLab({ a: side, b: {}, light: 'daylight', minute: 20 })).toBeNull();
    for (const nothing of [null, 7, 'lab', [], {}]) expect(readLab(nothing)).toBeNull();
  });

  it('goes on for weeks with the habits of a side, and shows what has grown', () => {
    const { b } = PRESETS.careAgainstYellow;
    const now = momentOf(b, 20, 'daylight', 1);
    const later = momentOf(b, 20, 'daylight', 1, 6);
    expect([now.regrowthCm, later.regrowthCm]).toEqual([0, 1.75]);
    expect(later.look.zones).toHaveLength(now.look.zones.length + 1);
    expect(later.look.zones[0].to).toBeCloseTo(1.75 / 31.75, 9);
    expect(later.zones.mids.lying).toBe(false);
    // The same setup before any weeks have passed differs in nothing that is told.
    expect(settingsChanged({ ...PRESETS.careAgainstYellow, weeks: 0 })).toEqual([]);
    expect(settingsChanged(PRESETS.careAgainstYellow).map(({ code }) => code)).toEqual([
      'lab.changed.violet',
    ]);
  });

  it('says from which week a client notices, later where the hair is treated with care', () => {
    const { a, b, minute } = PRESETS.tonerFades;
    expect(momentOf(a, minute, 'daylight', 1).noticed).toBeNull();
    const [warm, hot] = [a, b].map((side) => momentOf(side, minute, 'daylight', 1, 4).noticed!);
    expect(hot.fading!).toBeLessThan(warm.fading!);
    expect(momentOf(a, minute, 'daylight', 1, 12).noticed).toEqual(warm);
    expect(warm.line).toBe(hot.line);
  });

  it('reads a link from before there were weeks as one of the day itself', () => {
    const { weeks: _weeks, a, b, ...rest } = PRESETS.hotRoot;
    const without = ({ habits: _habits, ...side }: Side) => side;
    expect(readLab({ ...rest, a: without(a), b: without(b) })).toEqual(PRESETS.hotRoot);
  });

  it('charts what it reads, and draws the same state the same in every light', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PRESET_NAMES),
        fc.integer({ min: 0, max: 90 }),
        fc.constantFrom(...LIGHTS),
        (name, minute, light) => {
          const side = PRESETS[name].a;
          const moment = momentOf(side, minute, light, 3);
          expect(levelsOver(side, 90)[minute].levels.mids).toBeCloseTo(moment.zones.mids.level, 9);
          expect(momentOf(side, minute, light, 3)).toEqual(moment);
        },
      ),
      { numRuns: 8 },
    );
  });
});
