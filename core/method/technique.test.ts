import fc from 'fast-check';
import type { Target, UppermostHistory } from '../case';
import { type ToneFamily, TONE_FAMILIES } from '../colour';
import { CONDITIONS, LEVELS_IN_ONE_VISIT } from '../process';
import { DEFAULT_HOUSE_RULES } from '../rules';
import type { PlaceGoal } from './place-goal';
import { techniqueRulings, techniqueRuling, TECHNIQUES, type Technique } from './technique';

const PLAIN: PlaceGoal = {
  part: { zone: 'mids', woven: false, target: { level: 5, tone: { primary: 'neutral' } } },
  natural: 5,
  present: 5,
  history: { kind: 'untouched' },
  greyShare: 0,
  resistant: false,
  porosity: 'normal',
  diameter: 'medium',
  condition: 'strong',
  target: { level: 5, tone: { primary: 'neutral' } },
  scalpContact: 'offScalp',
  lengthCm: 15,
  afterRemover: null,
  chemical: null,
  minerals: 0,
};
const task = (change: Partial<PlaceGoal>): PlaceGoal => ({
  ...PLAIN,
  afterRemover: change.natural ?? PLAIN.natural,
  ...change,
});
const to = (level: number, primary: ToneFamily = 'neutral'): Target => ({ level, tone: { primary } });
const coloured = (level: number, primary: ToneFamily = 'neutral', faded = 0): UppermostHistory => ({
  kind: 'coloured',
  level,
  tone: { primary },
  faded,
  layers: 1,
});
const lightened = (level: number): UppermostHistory => ({ kind: 'lightened', level });
const allowedOn = (goal: PlaceGoal) =>
  techniqueRulings(goal, DEFAULT_HOUSE_RULES)
    .filter(({ allowed }) => allowed)
    .map(({ technique }) => technique);

describe('what may be done with hair never coloured', () => {
  it('is left where it is as it is wished, and only tinted at its level', () => {
    expect(allowedOn(task({}))).toEqual(['leave', 'deposit']);
    expect(allowedOn(task({ target: to(5, 'copper') }))).toEqual(['deposit']);
    // Grey has to be covered, so that leaving is no way any more.
    expect(allowedOn(task({ greyShare: 0.4 }))).toEqual(['deposit']);
  });

  it('is lifted by colour up to two levels before lightener is thought of, and after it up to three (F3)', () => {
    expect(allowedOn(task({ target: to(6, 'ash') }))).toEqual(['liftWithColour', 'lightenThenTone']);
    expect(allowedOn(task({ target: to(7, 'ash') }))).toEqual(['liftWithColour', 'lightenThenTone']);
    expect(allowedOn(task({ target: to(8, 'ash') }))).toEqual(['lightenThenTone', 'liftWithColour']);
    expect(allowedOn(task({ target: to(9, 'ash') }))).toEqual(['lightenThenTone']);
    expect(
      techniqueRuling(task({ target: to(9) }), 'liftWithColour', DEFAULT_HOUSE_RULES).reason,
    ).toMatchObject({
      code: 'route.beyondColour',
      params: { limit: 3, levels: 4 },
    });
  });

  it('takes high-lift from level 6 on, for three to five levels (D2)', () => {
    const from = (natural: number, level: number) =>
      techniqueRuling(
        task({ natural, present: natural, target: to(level, 'pearl') }),
        'highLift',
        DEFAULT_HOUSE_RULES,
      );
    expect(from(6, 9).allowed).toBe(true);
    expect(from(6, 10).allowed).toBe(true);
    expect(from(5, 9)).toMatchObject({ allowed: false, reason: { code: 'route.highLiftTooDark' } });
    expect(from(7, 9).allowed).toBe(false);
  });

  it('is lightened no further in a visit than its condition allows (C4)', () => {
    for (const condition of CONDITIONS) {
      const limit = LEVELS_IN_ONE_VISIT[condition];
      const asked = (levels: number) =>
        techniqueRuling(
          task({ natural: 2, present: 2, condition, target: to(2 + levels) }),
          'lightenThenTone',
          DEFAULT_HOUSE_RULES,
        );
      if (limit >= 1) expect(asked(limit).allowed).toBe(true);
      expect(asked(limit + 1)).toMatchObject({ allowed: false, reason: { code: 'route.beyondCondition' } });
    }
  });
});

describe('what may be done with hair that has a history', () => {
  it('colour lifts no colour: up to the natural level a remover, beyond it lightener (P1)', () => {
    const dark = { natural: 6, present: 3, history: coloured(3) };
    expect(allowedOn(task({ ...dark, target: to(5) }))).toEqual(['removeThenColour', 'lightenThenTone']);
    // Through permanent dye the levels count double: three and a half of seven (C4).
    expect(allowedOn(task({ ...dark, natural: 5, present: 4.5, target: to(8) }))).toEqual([
      'removeThenColour',
      'lightenThenTone',
    ]);
    expect(
      techniqueRuling(task({ ...dark, target: to(8) }), 'lightenThenTone', DEFAULT_HOUSE_RULES).reason.code,
    ).toBe('route.beyondCondition');
    for (const route of ['liftWithColour', 'highLift'] as const)
      expect(techniqueRuling(task({ ...dark, target: to(5) }), route, DEFAULT_HOUSE_RULES)).toMatchObject({
        allowed: false,
        reason: { code: 'route.colourLiftsNothing', rule: 'P1' },
      });
  });

  it('faded colour is topped up, fresh colour may be left', () => {
    const gold = (faded: number) =>
      task({ history: coloured(5, 'gold', faded), target: to(5, 'gold'), present: 5 });
    expect(allowedOn(gold(0.4))).toEqual(['refresh', 'deposit']);
    expect(allowedOn(gold(0))).toEqual(['leave', 'refresh', 'deposit']);
    expect(techniqueRuling(gold(0.4), 'leave', DEFAULT_HOUSE_RULES).reason.code).toBe('route.faded');
  });

  it('lightened hair more than two levels deeper is filled first (F6)', () => {
    const pale = (level: number) =>
      task({ natural: 6, present: 9, history: lightened(9), target: to(level) });
    expect(allowedOn(pale(7))).toEqual(['deposit']);
    expect(allowedOn(pale(6.5))).toEqual(['fillThenColour']);
    expect(techniqueRuling(pale(6), 'deposit', DEFAULT_HOUSE_RULES).reason.code).toBe('route.fillFirst');
    expect(techniqueRuling(pale(8), 'fillThenColour', DEFAULT_HOUSE_RULES).reason.code).toBe(
      'route.nothingToFill',
    );
  });

  it('lift on lifted hair is refused, in its own words (D7)', () => {
    const more = task({ natural: 5, present: 7, history: lightened(7), target: to(9, 'ash') });
    expect(techniqueRuling(more, 'liftWithColour', DEFAULT_HOUSE_RULES).reason).toMatchObject({
      code: 'route.liftOnLift',
      rule: 'D7',
    });
    expect(allowedOn(more)).toEqual(['lightenThenTone']);
  });

  it('a ready-made dye goes out before anything else, but for a warm tone over it (P2, C6)', () => {
    const pink: UppermostHistory = { kind: 'vivid', level: 9, dye: 'directPink', faded: 0 };
    const over = (target: Target) => task({ present: 9, history: pink, target });
    // Gentle lightening fades a pink as well (P7), and no green.
    expect(allowedOn(over(to(9, 'ash')))).toEqual(['removeThenColour', 'lightenThenTone']);
    expect(allowedOn(over(to(9, 'copper')))).toEqual(['removeThenColour', 'deposit', 'lightenThenTone']);
    const green: UppermostHistory = { kind: 'vivid', level: 9, dye: 'directGreen', faded: 0 };
    expect(allowedOn(task({ present: 9, history: green, target: to(9, 'ash') }))).toEqual([
      'removeThenColour',
    ]);
    expect(techniqueRuling(over(to(9, 'copper')), 'liftWithColour', DEFAULT_HOUSE_RULES).allowed).toBe(false);
    const blue = { ...to(9), vivid: 'directBlue' as const };
    expect(allowedOn(over(blue))).toEqual(['removeThenColour']);
    // The same dye goes over what is left of it, where the hair is light enough for it.
    const again = { ...to(9), vivid: 'directPink' as const };
    expect(allowedOn(over(again))).toEqual(['deposit']);
    expect(allowedOn(over({ ...again, level: 10 }))).toEqual(['removeThenColour']);
    expect(allowedOn(task({ present: 9, history: lightened(9), target: blue }))).toEqual(['deposit']);
    expect(techniqueRuling(task({ target: blue }), 'deposit', DEFAULT_HOUSE_RULES).reason.code).toBe(
      'route.vividNeedsLight',
    );
  });
});

const anyTask: fc.Arbitrary<PlaceGoal> = fc
  .record({
    natural: fc.integer({ min: 2, max: 20 }).map((n) => n / 2),
    shown: fc.integer({ min: 2, max: 20 }).map((n) => n / 2),
    level: fc.integer({ min: 2, max: 24 }).map((n) => n / 2),
    primary: fc.constantFrom(...TONE_FAMILIES),
    kind: fc.constantFrom('untouched', 'coloured', 'lightened', 'vivid'),
    faded: fc.constantFrom(0, 0.1, 0.4),
    vivid: fc.boolean(),
    greyShare: fc.constantFrom(0, 0.2, 0.5, 0.9),
    condition: fc.constantFrom(...CONDITIONS),
  })
  .map(({ natural, shown, level, primary, kind, faded, vivid, greyShare, condition }) => {
    const history: UppermostHistory =
      kind === 'untouched'
        ? { kind }
        : kind === 'coloured'
          ? coloured(shown, primary, faded)
          : kind === 'lightened'
            ? lightened(Math.max(natural, shown))
            : { kind: 'vivid', level: shown, dye: 'directPink', faded };
    const target: Target = vivid ? { ...to(level), vivid: 'directBlue' } : to(level, primary);
    const present = history.kind === 'untouched' ? natural : history.level;
    return task({ natural, present, history, target, greyShare, condition });
  });

describe('the rulings on any hair', () => {
  it('name each route once, always say something, and know every route asked for', () => {
    fc.assert(
      fc.property(anyTask, (goal) => {
        const techniques = techniqueRulings(goal, DEFAULT_HOUSE_RULES).map(({ technique }) => technique);
        expect(new Set(techniques).size).toBe(techniques.length);
        expect(techniques.length).toBeGreaterThan(0);
        for (const technique of TECHNIQUES) {
          const ruling = techniqueRuling(goal, technique, DEFAULT_HOUSE_RULES);
          expect(ruling.technique).toBe(technique);
          expect(ruling.reason.rule).toMatch(/^[A-Z]\d+$/);
        }
      }),
    );
  });

  it('never lift by colour what has been coloured or lightened, nor beyond 10', () => {
    const byColour: Technique[] = ['liftWithColour', 'highLift'];
    fc.assert(
      fc.property(anyTask, (goal) => {
        const allowed = allowedOn(goal).filter((technique) => byColour.includes(technique));
        if (goal.history.kind !== 'untouched') expect(allowed).toEqual([]);
        if (goal.target.level > 10) expect(allowed).not.toContain('liftWithColour');
      }),
    );
  });

  it('lighten only where the hair is to be lighter, and within what its condition allows', () => {
    fc.assert(
      fc.property(anyTask, (goal) => {
        if (!allowedOn(goal).includes('lightenThenTone')) return;
        // A vivid dye is faded by it, not lifted.
        if (goal.history.kind === 'vivid') return;
        const levels = goal.target.level - goal.present;
        expect(levels).toBeGreaterThan(0);
        expect(levels).toBeLessThanOrEqual(LEVELS_IN_ONE_VISIT[goal.condition]);
      }),
    );
  });

  it('allow no more when the hair is in a worse condition', () => {
    fc.assert(
      fc.property(anyTask, (goal) => {
        const best = allowedOn({ ...goal, condition: 'strong' });
        for (const condition of CONDITIONS)
          for (const technique of allowedOn({ ...goal, condition })) expect(best).toContain(technique);
      }),
    );
  });
});
