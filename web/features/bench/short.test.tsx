import { workStepsOf, type StudentAssignment } from '@cimbel/contract';
import type { TypicalError } from '@cimbel/core/mark';
import { BENCH_STEPS, CARD_STEPS, OPEN_STEPS } from '@cimbel/core/exercise';
import { EMPTY_CARD, type Bowl, type RecordCard } from '@cimbel/core/card';
import { AREAS } from '@cimbel/core/hair';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '@cimbel/core/rules';
import { fieldsOf, htmlOf, textOf } from '../../testing/render';
import { LevelRing } from './level-ring';
import { DeveloperAlone } from './developer-alone';
import { shippedCase } from '@cimbel/core/cases';
import { CARD, SETS, fresh, setOf } from '../setting/exercise-form';
import { isStepComplete } from './steps';
import { StepsChoice } from '../setting/steps-choice';

const bowl = (name: string, lineId: string, developer: Bowl['developer'] = []): Bowl => ({
  name,
  lineId,
  shades: [],
  productGrams: 30,
  developer,
  additive: false,
});
const assignment = (change: Partial<StudentAssignment> = {}): StudentAssignment =>
  ({
    regions: [
      {
        name: null,
        areas: AREAS,
        diameter: 'medium',
        density: 'medium',
        zones: [{ zone: 'ends', lengthCm: 8, from: 0, to: 1 }],
      },
    ],
    placements: [],
    lines: SHIPPED_LINES,
    open: [...BENCH_STEPS],
    houseRules: DEFAULT_HOUSE_RULES,
    wish: {},
    applications: [],
    ...change,
  }) as unknown as StudentAssignment;
const plan = (change: Partial<RecordCard>): RecordCard => ({ ...EMPTY_CARD, ...change });

const ofRetouch = () => fresh({ id: 'retouch-grey', clientCase: shippedCase('retouch-grey')!.clientCase });

describe('how much of an exercise is worked', () => {
  it('has a name for every ready-made set, and a step for each part of it', () => {
    for (const [name, open] of Object.entries(SETS)) {
      expect(setOf({ open, slip: null })).toBe(name);
      expect(workStepsOf(open)).toEqual([...open, 'handIn']);
      for (const step of open) expect(OPEN_STEPS).toContain(step);
    }
    expect(setOf({ open: [...CARD_STEPS], slip: 'overlap' })).toBe(CARD);
    expect(setOf({ open: ['consult', 'finish'], slip: null })).toBeNull();
  });

  it('begins as the whole service of a case, due in a week', () => {
    const form = ofRetouch();
    expect(form).toMatchObject({
      caseId: 'retouch-grey',
      slip: null,
      rubric: null,
      terms: { release: 'onDue' },
    });
    expect(setOf(form)).toBe('whole');
    expect(new Date(form.terms.due).getTime()).toBeGreaterThan(Date.now() + 6 * 86_400_000);
  });

  it('offers a card only where the case leaves room for a slip, and says when one has none', () => {
    const miss = { misconception: 'overlap' } as unknown as TypicalError;
    const choice = (misses: TypicalError[], slip: 'overlap' | 'noFiller' | null, settled = true) =>
      textOf(
        <StepsChoice
          form={{ ...ofRetouch(), slip }}
          misses={misses}
          settled={settled}
          onChange={() => undefined}
        />,
      );
    expect(choice([], null)).not.toContain('Find the error');
    expect(choice([miss], null)).toContain('Find the error');
    expect(choice([miss], null)).not.toContain('Error in the record card');
    expect(choice([miss], 'overlap')).toContain('Error in the record card');
    expect(choice([miss], 'overlap')).not.toContain('leaves no room');
    expect(choice([miss], 'noFiller')).toContain('leaves no room');
    // While the case is still being computed nothing is said yet.
    expect(choice([miss], 'noFiller', false)).not.toContain('leaves no room');
  });
});

describe('what is left open on the bench', () => {
  it.each([
    ['consult', { asked: ['scalp'], decision: 'goOn', visits: 1 }, { asked: ['scalp'], decision: 'goOn' }],
    [
      'read',
      { readings: { ends: { level: 5, greyShare: 0, underlay: null, counter: null } } },
      { readings: {} },
    ],
    ['mix', { bowls: [bowl('A', 'tarnwick')] }, { bowls: [{ ...bowl('A', 'tarnwick'), lineId: null }] }],
    ['finish', { aftercare: ['coolWater'], nextVisitWeeks: 5 }, { aftercare: ['coolWater'] }],
    [
      'developer',
      { bowls: [bowl('A', 'tarnwick', [{ vol: 20, grams: 30 }]), bowl('B', 'hobday')] },
      { bowls: [bowl('A', 'tarnwick', [{ vol: 20, grams: 0 }]), bowl('B', 'hobday')] },
    ],
  ] as [Parameters<typeof isStepComplete>[0], Partial<RecordCard>, Partial<RecordCard>][])(
    '%s',
    (step, whole, part) => {
      expect(isStepComplete(step, plan(whole), assignment())).toBe(true);
      expect(isStepComplete(step, plan(part), assignment())).toBe(false);
    },
  );

  it('is nothing to mix or to put on for a client who is sent home', () => {
    const declined = plan({ decision: 'decline', asked: ['scalp'] });
    for (const step of ['consult', 'mix', 'apply', 'finish'] as const)
      expect(isStepComplete(step, declined, assignment())).toBe(true);
    expect(isStepComplete('handIn', declined, assignment())).toBe(false);
  });

  it('is a quote as well, where the client is to be told one', () => {
    const finished = plan({ aftercare: ['coolWater'], nextVisitWeeks: 5 });
    const asked = { ...assignment(), quote: true };
    expect(isStepComplete('finish', finished, asked)).toBe(false);
    const half = { ...finished, quote: { price: 80, minutes: null } };
    expect(isStepComplete('finish', half, asked)).toBe(false);
    expect(isStepComplete('finish', { ...half, quote: { price: 80, minutes: 90 } }, asked)).toBe(true);
  });
});

describe('the developer alone', () => {
  const drawn = (bowls: Bowl[], house: Partial<HouseRules> = {}) => {
    const rules = { ...DEFAULT_HOUSE_RULES, ...house };
    const draft = { answer: plan({ bowls }), change: () => undefined } as unknown as Parameters<
      typeof DeveloperAlone
    >[0]['draft'];
    return <DeveloperAlone assignment={assignment({ houseRules: rules })} draft={draft} />;
  };
  const colour: Bowl = {
    ...bowl('A', 'tarnwick', [{ vol: 20, grams: 45 }]),
    productGrams: 0,
    shades: [{ label: '5:0', grams: 30 }],
  };

  it('shows the colour as it stands, and fields for what is poured alone', () => {
    const text = textOf(drawn([colour]));
    expect(text).toContain('5:0 30.0 g');
    expect(text).toContain('Colour in the bowl: 30.0 g.');
    expect(text).toContain('Poured: 1 : 1.5, 20 vol.');
    expect(Object.keys(fieldsOf(drawn([colour])))).toEqual(['Amount of 20 vol']);
    expect(fieldsOf(drawn([colour]), 'flOz')).toEqual({ 'Amount of 20 vol': '1.52' });
  });

  it('asks for a strength before anything is poured, and leaves out what takes none', () => {
    const text = textOf(drawn([{ ...colour, developer: [] }, bowl('B', 'hobday')]));
    expect(text).toContain('Poured: –, –.');
    expect(text).not.toContain('B:');
    expect(textOf(drawn([bowl('B', 'hobday')]))).toContain('No bowl of this plan needs developer.');
  });
});

describe('the ring of levels', () => {
  const names = (top?: number) =>
    [
      ...htmlOf(<LevelRing value={6} onChange={() => undefined} label="Level" top={top} />).matchAll(
        /aria-label="(Level \d+[^"]*|Between[^"]*)"/g,
      ),
    ].map(([, name]) => name);
  it('has a lock for each level and a step between, to ten or to twelve', () => {
    expect(names().filter((name) => /^Level \d+, /.test(name))).toHaveLength(10);
    const twelve = names(12).filter((name) => /^Level \d+, /.test(name));
    expect(twelve).toHaveLength(12);
    expect(twelve.at(-1)).toBe('Level 12, white blonde');
    expect(new Set(names(12)).size).toBe(names(12).length);
  });
});
