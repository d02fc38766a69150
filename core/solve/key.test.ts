import fc from 'fast-check';
import { TONE_FAMILIES } from '../colour';
import { readLabel, shippedLine, SHIPPED_LINES } from '../shades';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../theory';
import { aCase, keyOf, refusalOf } from '../testing/cases';
import { mayDilute } from '../theory';
import { caseSchema, computeKey, fitOf, isRightMix } from '.';

describe('the computed key', () => {
  it('darkens natural hair with a deposit: 7 to 5 neutral takes 10 vol and the natural 5', () => {
    const key = keyOf(aCase({ natural: 7, target: 5 }));
    expect(key).toMatchObject({
      levelsToMove: -2,
      developerVol: 10,
      shades: [{ label: '5:0', parts: 1 }],
      minutes: 35,
      ratio: 1.5,
    });
  });

  it('lifts 5 to 7 ash with a 7 ash and 30 vol, against the yellow-orange that shows', () => {
    const key = keyOf(aCase({ natural: 5, target: 7, tone: 'ash' }));
    expect(key).toMatchObject({
      levelsToMove: 2,
      underlay: 'yellowOrange',
      counter: 'blueViolet',
      developerVol: 30,
      shades: [{ label: '7:7', parts: 1 }],
    });
  });

  it('keeps the warmth under a copper (U3) and says that red and copper fade (F9)', () => {
    const key = keyOf(aCase({ natural: 5, target: 6, tone: 'copper' }));
    expect(key.counter).toBe('keep');
    expect(key.notes.map(({ code }) => code)).toContain('note.redFades');
  });

  it('gives half grey half natural series, 20 vol and the grey time (F8)', () => {
    const key = keyOf(aCase({ natural: 5, target: 5, tone: 'gold', grey: 0.5 }));
    expect(key).toMatchObject({ developerVol: 20, minutes: 45 });
    expect(key.shades).toEqual(
      expect.arrayContaining([
        { label: '5:0', parts: 1 },
        { label: '5:1', parts: 1 },
      ]),
    );
  });

  it('reaches a half level by mixing two shades', () => {
    const key = keyOf(aCase({ natural: 7, target: 6.5 }));
    expect(key.shades).toEqual(
      expect.arrayContaining([
        { label: '6:0', parts: 1 },
        { label: '7:0', parts: 1 },
      ]),
    );
  });

  it('follows the counterbalance school where the class does (F2)', () => {
    const key = keyOf(aCase({ natural: 5, target: 7 }), { liftByColour: 'counterbalance' });
    expect(key.shades).toEqual([{ label: '9:0', parts: 1 }]);
    expect(key.houseRules).toContainEqual({ rule: 'liftByColour', choice: 'counterbalance' });
  });

  it('scales the amount with service and density (M2)', () => {
    const key = keyOf(aCase({ natural: 6, target: 6, service: 'shoulderAllOver', density: 'dense' }));
    expect(key.amount).toEqual({ minGrams: 156, maxGrams: 234 });
    expect(key.totalGrams).toBe(195);
  });

  it('refuses with the reason what the line cannot do', () => {
    expect(refusalOf(aCase({ natural: 4, target: 8 }))).toBe('developer.beyondLift');
    expect(refusalOf(aCase({ natural: 6, target: 7, lineId: 'quillet' }))).toBe('developer.demiCannotLift');
    expect(refusalOf(aCase({ natural: 9, target: 9, tone: 'warmBrown' }))).toBe('shade.noTone');
    expect(refusalOf(aCase({ natural: 8, target: 10 }), { liftByColour: 'counterbalance' })).toBe(
      'shade.noLevel',
    );
  });

  it('warns that more than two levels by colour alone leave warmth (F3) and that lightened hair wants filling (F6)', () => {
    const notes = (natural: number, target: number) =>
      keyOf(aCase({ natural, target })).notes.map(({ code }) => code);
    expect(notes(5, 8)).toContain('note.rootWarmth');
    expect(notes(9, 5)).toContain('note.fillFirst');
    expect(notes(6, 6)).toEqual([]);
  });

  it('permits dilution by line and by class (D5)', () => {
    const [permanent, demi] = [shippedLine('tarnwick')!, shippedLine('quillet')!];
    expect([mayDilute(permanent, DEFAULT_HOUSE_RULES), mayDilute(demi, DEFAULT_HOUSE_RULES)]).toEqual([
      true,
      false,
    ]);
    expect(mayDilute(demi, { diluteDeveloper: 'always' })).toBe(true);
    expect(mayDilute(permanent, { diluteDeveloper: 'never' })).toBe(false);
  });

  it('whatever the case, either refuses with reasons or gives a mix that is right, of shades of the line, and the same each time', () => {
    const half = fc.integer({ min: 2, max: 20 }).map((n) => n / 2);
    const cases = fc.record({
      line: fc.constantFrom(...SHIPPED_LINES),
      natural: half,
      target: half,
      tone: fc.constantFrom(...TONE_FAMILIES),
      grey: fc.integer({ min: 0, max: 10 }).map((n) => n / 10),
      school: fc.constantFrom<HouseRules['liftByColour']>('targetLevel', 'counterbalance'),
    });
    fc.assert(
      fc.property(cases, ({ line, natural, target, tone, grey, school }) => {
        const kase = caseSchema.parse(aCase({ natural, target, tone, grey, lineId: line.id }));
        const rules = { ...DEFAULT_HOUSE_RULES, liftByColour: school };
        const result = computeKey(kase, line, rules);
        expect(computeKey(kase, line, rules)).toEqual(result);
        if (!result.ok) return expect(result.reasons.length).toBeGreaterThan(0);
        const mix = result.key.shades.map(({ label, parts }) => {
          const reading = readLabel(line, label);
          if (!reading.ok) throw new Error(label);
          return { shade: reading.shade, parts };
        });
        expect(isRightMix(fitOf(mix, result.key.need))).toBe(true);
        expect(line.developersVol).toContain(result.key.developerVol);
      }),
      { numRuns: 80 },
    );
  });
});
