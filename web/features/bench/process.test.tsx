import type { StudentAssignment } from '@cimbel/contract';
import { BENCH_STEPS, untimedApplications } from '@cimbel/core/exercise';
import { EMPTY_CARD, type RecordCard } from '@cimbel/core/card';
import { AREAS } from '@cimbel/core/hair';
import { SHIPPED_LINES } from '@cimbel/core/product';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { step } from '@cimbel/core/testing/cards';
import { fieldsOf, textOf } from '../../testing/render';
import { ClientGiven } from './client-panel';
import { Process } from './process';
import { isStepComplete } from './steps';

const STEPS = [
  step({ zones: ['regrowth'], minutes: 45 }),
  step({ bowl: 'B', zones: ['ends'], start: 35, minutes: 10, checkEvery: 3 }),
];
const assignment = (change: Partial<StudentAssignment> = {}): StudentAssignment =>
  ({
    client: { name: 'Mrs Orlane', note: 'Never coloured.' },
    regions: [
      {
        name: null,
        areas: AREAS,
        diameter: 'medium',
        density: 'dense',
        zones: [
          { zone: 'regrowth', lengthCm: 1.5, from: 0, to: 0.2 },
          { zone: 'ends', lengthCm: 20, from: 0.2, to: 1 },
        ],
      },
    ],
    hair: { length: 'shoulderAllOver', form: 'straight' },
    wish: { regrowth: { level: 5, tone: { primary: 'gold' } } },
    placements: [],
    lines: SHIPPED_LINES,
    open: ['process'],
    applications: untimedApplications(STEPS),
    houseRules: DEFAULT_HOUSE_RULES,
    ...change,
  }) as unknown as StudentAssignment;
const page = (card: Partial<RecordCard>, of: StudentAssignment = assignment()) => {
  const draft = { answer: { ...EMPTY_CARD, ...card }, change: () => undefined } as unknown as Parameters<
    typeof Process
  >[0]['draft'];
  const control = { clock: { minute: null, running: false } } as unknown as Parameters<
    typeof Process
  >[0]['control'];
  return (
    <Process
      assignment={of}
      draft={draft}
      play={{ shown: undefined, error: null, request: null }}
      control={control}
      wiped={[]}
      onWipe={() => undefined}
    />
  );
};

describe('the processing time', () => {
  it('is asked of every application that is given, and left open until it is said', () => {
    expect(fieldsOf(page({}))).toMatchObject({
      'Processing time: bowl A on regrowth': '',
      'Processing time: bowl B on ends': '',
    });
    expect(fieldsOf(page({ steps: [STEPS[0]] }))).toMatchObject({
      'Processing time: bowl A on regrowth': '45',
      'Processing time: bowl B on ends': '',
    });
    expect(isStepComplete('process', { ...EMPTY_CARD, steps: [STEPS[0]] }, assignment())).toBe(false);
    expect(isStepComplete('process', { ...EMPTY_CARD, steps: STEPS }, assignment())).toBe(true);
  });

  it('is that of one’s own applications where they are the student’s', () => {
    const own = assignment({ open: [...BENCH_STEPS], applications: [] });
    expect(textOf(page({}, own))).toContain('No applications yet.');
    expect(fieldsOf(page({ steps: [STEPS[1]] }, own))).toEqual(
      expect.objectContaining({ 'Processing time: bowl B on ends': '10' }),
    );
  });

  it('stands beside what the line says of its time', () => {
    const bowls = [
      {
        name: 'A',
        lineId: 'tarnwick',
        shades: [{ label: '5:0', grams: 30 }],
        productGrams: 0,
        developer: [],
        additive: false,
      },
    ];
    const text = textOf(page({ bowls, steps: [STEPS[0]] }));
    expect(text).toContain('Tarnwick Cream: standard 35 min, on grey 45 min.');
    expect(text).toContain('Bowl B is not mixed yet.');
  });
});

describe('a consultation that is given', () => {
  it('is the client, the desired result, the hair and what was told, and no question', () => {
    const reveals = {
      known: {
        reactions: [{ code: 'reveal.reaction.no', params: {} }],
        budget: [{ code: 'reveal.said', params: { said: 'As little as it takes.' } }],
      },
    } as unknown as Parameters<typeof ClientGiven>[0]['reveals'];
    const text = textOf(<ClientGiven assignment={assignment()} reveals={reveals} />);
    for (const said of ['Mrs Orlane', 'Level 5, gold', '“Never had any trouble', '“As little as it takes.”'])
      expect(text).toContain(said);
    expect(text).not.toContain('Consultation questions');
  });
});
