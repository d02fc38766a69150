import fc from 'fast-check';
import { LIGHTS, differenceOf } from '../colour';
import { labOfStrand } from '../hair';
import {
  PRESETS,
  PRESET_NAMES,
  finishedStrand,
  labSchema,
  levelsOver,
  momentOf,
  outcomesChanged,
  settingsChanged,
  type PresetName,
} from '.';

const codes = (name: PresetName) =>
  outcomesChanged(PRESETS[name]).map(({ code, params }) => `${code} ${params.zone}`);

describe('the laboratory', () => {
  it.each(PRESET_NAMES)('%s is a valid state whose two sides differ, and shows it', (name) => {
    const state = PRESETS[name];
    expect(labSchema.parse(state)).toEqual(state);
    expect(settingsChanged(state).length).toBeGreaterThan(0);
    expect(outcomesChanged(state).length).toBeGreaterThan(0);
  });

  it('shows what each comparison is there to show', () => {
    expect(codes('hotRoot')).toContain('lab.outcome.deeper root');
    expect(codes('colourOnColour')).toContain('lab.outcome.lighter mids');
    expect(codes('tonerTooLight')).toContain('lab.outcome.tone mids');
    expect(codes('thirtyAgainstForty')).toEqual(
      expect.arrayContaining(['lab.outcome.lighter mids', 'lab.outcome.moreDamage mids']),
    );
    expect(codes('porousEnds')).toContain('lab.outcome.lighter ends');
    expect(codes('overlap')).toContain('lab.outcome.lighter mids');
    expect(codes('greyWithoutNatural')).toContain('lab.outcome.deeper root');
    expect(codes('redWithoutWarmth')).toContain('lab.outcome.deeper mids');
  });

  it('leaves a zone alone that gets nothing, and stops at the rinse', () => {
    const { a } = PRESETS.overlap;
    const alone = { ...a, starts: { root: 0, mids: null, ends: null } };
    const before = momentOf(alone, 0, 'daylight', 1).zones.mids.level;
    expect(momentOf(alone, 60, 'daylight', 1).zones.mids.level).toBe(before);
    expect(
      differenceOf(labOfStrand(finishedStrand(a, 'root')), labOfStrand(finishedStrand({ ...a }, 'root'))),
    ).toBe(0);
    expect(momentOf(a, 36, 'daylight', 1).zones.root.lying).toBe(false);
    expect(momentOf(a, 34, 'daylight', 1).zones.root.lying).toBe(true);
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
