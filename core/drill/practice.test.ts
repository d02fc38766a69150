import fc from 'fast-check';
import { seedFrom } from '../random';
import { analyseSlots } from './analysis';
import { PLAIN_CONTEXT } from './context';
import { facetsOf, generate } from './generate';
import { type Answered, memoryOf, afterAnswer, emptyMemory, reachedIn } from './memory';
import { dueCount, nextSpec, type AskedItem, nextItem, questionName } from './next-item';
import { beyondChance, readingProfileOf, startOfWeek } from './reading-profile';
import { practise, expert, ofAbility, guesser, biasedBy } from './simulated-students';
import { facetToday } from './older-facets';
import { type Skill, SKILLS, DRILL_STEPS } from './skill';
import { planTest, sittingOf, itemsOfSitting, NothingToAsk } from './test-plan';

const START = Date.UTC(2026, 1, 2, 18);
const DAY = 86_400_000;
const run = (learner: Parameters<typeof practise>[0], skills: readonly Skill[], answers: number, seed = 1) =>
  practise(learner, skills, PLAIN_CONTEXT, { answers, seed, start: START });
const share = (answers: readonly { score: number }[]) =>
  answers.reduce((sum, { score }) => sum + score, 0) / answers.length;

const answered: fc.Arbitrary<Answered> = fc.constantFrom(...SKILLS).chain((skill) =>
  fc.record({
    skill: fc.constant(skill),
    facet: fc.constantFrom(...facetsOf(skill, PLAIN_CONTEXT)),
    step: fc.constantFrom(...DRILL_STEPS),
    score: fc.constantFrom(0, 0.5, 1),
    assisted: fc.boolean(),
    at: fc.integer({ min: START, max: START + 30 * DAY }),
  }),
);

describe('memory', () => {
  it('stays in range whatever is answered, in whatever order of time', () => {
    fc.assert(
      fc.property(fc.array(answered, { maxLength: 60 }), (answers) => {
        const memory = memoryOf(answers);
        for (const { step } of Object.values(memory.reach)) {
          expect(step).toBeGreaterThanOrEqual(1);
          expect(step).toBeLessThanOrEqual(5);
        }
        for (const { card } of Object.values(memory.facets)) {
          expect(Number.isFinite(card.stability)).toBe(true);
          expect(new Date(card.due).getTime()).toBeGreaterThanOrEqual(START);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('climbs on right answers, falls three times as far on wrong ones, and never on assisted ones', () => {
    fc.assert(
      fc.property(answered, fc.array(answered, { maxLength: 30 }), (answered, before) => {
        const memory = memoryOf(before);
        const own = { ...answered, assisted: false };
        const was = reachedIn(memory, answered.skill);
        const right = afterAnswer(memory, { ...own, score: 1 }).reach[answered.skill].step;
        const wrong = afterAnswer(memory, { ...own, score: 0 }).reach[answered.skill].step;
        expect(right).toBeGreaterThanOrEqual(was);
        expect(wrong).toBeLessThanOrEqual(was);
        expect(afterAnswer(memory, { ...answered, assisted: true })).toBe(memory);
      }),
    );
  });

  it('brings a wrong answer back the same evening and a right one on a later day', () => {
    const answered: Answered = {
      skill: 'level',
      facet: 'mediumLevels',
      step: 2,
      score: 1,
      assisted: false,
      at: START,
    };
    let memory = emptyMemory();
    for (let i = 0; i < 3; i++) memory = afterAnswer(memory, { ...answered, at: START + i * 20 * 60_000 });
    expect(new Date(memory.facets['level mediumLevels'].card.due).getTime()).toBeGreaterThan(START + DAY);
    const wrong = afterAnswer(memory, { ...answered, score: 0, at: START + 3 * DAY });
    expect(new Date(wrong.facets['level mediumLevels'].card.due).getTime()).toBeLessThan(
      START + 3 * DAY + 3600_000,
    );
    expect(dueCount(wrong, START + 4 * DAY, PLAIN_CONTEXT)).toBe(1);
  });
});

describe('what comes next', () => {
  it('is always an item there is, of a skill that was asked for', () => {
    fc.assert(
      fc.property(
        fc.array(answered, { maxLength: 40 }),
        fc.subarray([...SKILLS], { minLength: 1 }),
        fc.integer({ min: 0, max: 2 ** 31 }),
        (answers, skills, seed) => {
          const wanted = { skills, memory: memoryOf(answers), now: START + 31 * DAY, seed, before: answers };
          const spec = nextSpec(wanted, PLAIN_CONTEXT)!;
          expect(skills).toContain(spec.skill);
          expect(nextSpec(wanted, PLAIN_CONTEXT)).toEqual(spec);
          generate(spec, PLAIN_CONTEXT);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('is what is due before what is new, and not the same twice running', () => {
    const missed: Answered = {
      skill: 'dilution',
      facet: 'water',
      step: 1,
      score: 0,
      assisted: false,
      at: START,
    };
    const spec = nextSpec(
      { skills: SKILLS, memory: memoryOf([missed]), now: START + DAY, seed: 5, before: [] },
      PLAIN_CONTEXT,
    );
    expect(spec).toMatchObject({ skill: 'dilution', facet: 'water' });
    const after = nextSpec(
      { skills: SKILLS, memory: memoryOf([missed]), now: START + DAY, seed: 5, before: [missed] },
      PLAIN_CONTEXT,
    );
    expect(after).not.toMatchObject({ skill: 'dilution', facet: 'water' });
  });

  it('takes up a mistake made twice within three questions, and asks nothing twice in the same words', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const missed = { skill: 'ratio', facet: 'total', idea: 'ratio drill.ratio.turned' } as const;
        const before: AskedItem[] = [missed, { skill: 'level', facet: 'mediumLevels', idea: null }, missed];
        let found = false;
        for (let i = 0; i < 3; i++) {
          const wanted = { skills: SKILLS, memory: emptyMemory(), now: START, seed: seed + i, before };
          const { spec, item } = nextItem(wanted, PLAIN_CONTEXT)!;
          found ||= spec.skill === 'ratio' && spec.facet === 'total';
          before.push({ ...spec, name: questionName(item), idea: null });
        }
        expect(found).toBe(true);
      }),
      { numRuns: 40 },
    );
    const answers = practise(expert, ['care'], PLAIN_CONTEXT, { answers: 40, seed: 3, start: START });
    const names = answers.map((spec) => questionName(generate(spec, PLAIN_CONTEXT)));
    expect(new Set(names).size).toBe(40);
  });

  it('takes up a mistake made once, with another question between, and in other words', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const missed = {
          skill: 'developer',
          facet: 'task',
          idea: 'developer drill.developer.liftsPast',
        } as const;
        const before: AskedItem[] = [missed];
        const came: number[] = [];
        for (let i = 0; i < 3; i++) {
          const wanted = { skills: SKILLS, memory: emptyMemory(), now: START, seed: seed + i, before };
          const { spec, item } = nextItem(wanted, PLAIN_CONTEXT)!;
          if (spec.skill === 'developer' && spec.facet === 'task') came.push(i);
          before.push({ ...spec, name: questionName(item), idea: null });
        }
        expect(came).toHaveLength(1);
        expect(came[0]).toBeGreaterThan(0);
      }),
      { numRuns: 30 },
    );
  });

  it('meets a good student at step 3 in the first five minutes, and is not below 4 for an expert after forty', () => {
    for (const seed of [1, 2, 3]) {
      const good = run(ofAbility(4), SKILLS, 25, seed);
      expect(Math.max(...good.map(({ step }) => step))).toBeGreaterThanOrEqual(3);
      const late = run(expert, SKILLS, 80, seed).slice(40);
      expect(Math.min(...late.map(({ step }) => step))).toBeGreaterThanOrEqual(4);
    }
  });

  it('leaves no chosen skill out for long, whatever is due and whatever is got wrong', () => {
    const skills: Skill[] = ['level', 'order', 'ratio'];
    const now = START + 31 * DAY;
    const allOf = (skill: Skill, score: number, at: number): Answered[] =>
      facetsOf(skill, PLAIN_CONTEXT).map((facet) => ({ skill, facet, step: 3, score, assisted: false, at }));
    fc.assert(
      fc.property(
        fc.constantFrom(...skills),
        fc.infiniteStream(fc.boolean()),
        fc.nat(),
        (mastered, isWrong, seed) => {
          // Two skills are due in every facet, the third was right in every one this minute.
          const memory = memoryOf([
            ...skills.filter((skill) => skill !== mastered).flatMap((skill) => allOf(skill, 0, START)),
            ...allOf(mastered, 1, now - 60_000),
          ]);
          const before: AskedItem[] = [];
          for (let i = 0; i < 40; i++) {
            const { skill, facet } = nextSpec(
              { skills, memory, now, seed: seed + i, before },
              PLAIN_CONTEXT,
            )!;
            before.push({ skill, facet, idea: isWrong.next().value ? 'reversed' : null });
          }
          // Twice the number of skills, then one mistake before each of the others that wait as well.
          for (let i = 0; i + 11 <= before.length; i++)
            expect(new Set(before.slice(i, i + 11).map((asked) => asked.skill))).toEqual(new Set(skills));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is nothing where the scope has nothing', () => {
    const pale = { ...PLAIN_CONTEXT, scope: { ...PLAIN_CONTEXT.scope, minLevel: 8 } };
    expect(
      nextSpec({ skills: ['grey'], memory: emptyMemory(), now: START, seed: 1, before: [] }, pale),
    ).toBeNull();
  });

  it('mixes skills, and settles where about three of four answers are right', () => {
    const answers = run(ofAbility(3), SKILLS, 260, 9);
    expect(new Set(answers.map(({ skill }) => skill)).size).toBe(SKILLS.length);
    const one = run(ofAbility(3), ['level'], 160, 4);
    expect(share(one.slice(60))).toBeGreaterThan(0.62);
    expect(share(one.slice(60))).toBeLessThan(0.9);
  });
});

describe('simulated students', () => {
  it('an expert is right throughout and reaches the hardest step', () => {
    const answers = run(expert, ['level', 'tone', 'ratio'], 150);
    expect(share(answers)).toBe(1);
    expect(answers[answers.length - 1].step).toBe(5);
  });

  it('one who guesses stays at the bottom with what chance gives', () => {
    const answers = run(guesser, SKILLS, 300, 3);
    expect(share(answers)).toBeLessThan(0.35);
    expect(share(answers.slice(40).map(({ step }) => ({ score: step })))).toBeLessThan(2);
  });

  it('one who guesses earns a quarter at most of any skill, and nothing once chance is taken off', () => {
    for (const skill of SKILLS) {
      const answers = run(guesser, [skill], 90, 6);
      expect({ skill, share: share(answers) < 0.34 }).toEqual({ skill, share: true });
      expect({ skill, beyond: beyondChance(answers) < 0.25 }).toEqual({ skill, beyond: true });
    }
  });

  it('one who always says the same earns a quarter at most once chance is taken off', () => {
    const always =
      (index: number): typeof guesser =>
      (item, random) => {
        const { form } = item.question;
        if (form.kind === 'share') return { kind: 'figure', value: 0.5 };
        return form.kind === 'choice'
          ? { kind: 'choice', index: index % form.options.length }
          : guesser(item, random);
      };
    for (const skill of ['grey', 'condition', 'predict', 'care', 'label'] as const)
      for (const index of [0, 3])
        expect({ skill, beyond: beyondChance(run(always(index), [skill], 90, 6)) < 0.25 }).toEqual({
          skill,
          beyond: true,
        });
  });

  it('half a level of bias is found, by sign and size, and told from an expert', () => {
    for (const bias of [0.5, -0.5]) {
      const profile = readingProfileOf(run(biasedBy(bias), ['level'], 150, 2));
      // Readings cannot leave the scale, so a bias is a little less than it is.
      expect(profile.level.all!.bias * Math.sign(bias)).toBeGreaterThan(0.3);
      expect(profile.level.all!.bias * Math.sign(bias)).toBeLessThan(0.6);
      expect(profile.level.all!.accuracy).toBeLessThan(0.9);
    }
    expect(readingProfileOf(run(expert, ['level'], 80)).level.all).toMatchObject({ bias: 0, accuracy: 1 });
  });
});

describe('the reading profile', () => {
  it('leaves assisted answers out of everything but their count and minutes', () => {
    const own = run(expert, ['level', 'tone'], 30);
    const assisted = run(guesser, ['level', 'tone'], 20, 8).map((a) => ({ ...a, assisted: true }));
    const profile = readingProfileOf([...own, ...assisted]);
    expect(profile).toMatchObject({ answers: 30, assisted: 20 });
    expect(profile.level.all!.accuracy).toBe(1);
    expect(profile.confusion.level.every(({ truth, given }) => truth === given)).toBe(true);
    expect(profile.minutes).toBeGreaterThan(readingProfileOf(own).minutes);
  });

  it('counts weeks from Monday, and the minutes of none who walked away', () => {
    expect(new Date(startOfWeek(Date.UTC(2026, 10, 24))).toISOString()).toBe('2026-11-23T00:00:00.000Z');
    const [first] = run(expert, ['level'], 1);
    const profile = readingProfileOf([
      { ...first, seconds: 4000 },
      { ...first, at: first.at + 8 * DAY, seconds: 30 },
    ]);
    expect(profile.weeks).toHaveLength(2);
    expect(profile.minutes).toBe(2.5);
    expect(readingProfileOf([])).toMatchObject({ answers: 0, weeks: [], next: null, strengths: [] });
  });

  it('names the weakest skill as the next step', () => {
    const strong = run(expert, ['ratio', 'label'], 60);
    const weak = run(guesser, ['tone'], 30, 5);
    const profile = readingProfileOf([...strong, ...weak]);
    expect(profile.next).toBe('tone');
    expect(profile.strengths).not.toContain('tone');
  });
});

describe('a reading test', () => {
  const parts = [
    { skill: 'level', count: 6 },
    { skill: 'tone', count: 4 },
    { skill: 'toner', count: 3 },
  ] as const;
  const plan = planTest(parts, 3, PLAIN_CONTEXT, 77);
  const by = (seed: number) => (what: string) => seedFrom(`${seed} ${what}`);

  it('asks the same slots of everyone, with own hair, own figures and an own order', () => {
    const [testItems, other] = [sittingOf(plan, by(1), 'own'), sittingOf(plan, by(2), 'own')];
    const sorted = (sitting: typeof testItems) => sitting.map(({ slot }) => slot).sort((a, b) => a - b);
    expect(sorted(testItems)).toEqual(plan.map((_, i) => i));
    expect(sorted(other)).toEqual(sorted(testItems));
    expect(testItems.map(({ slot }) => slot)).not.toEqual(other.map(({ slot }) => slot));
    const question = (sitting: typeof testItems, slot: number) =>
      JSON.stringify(generate(sitting.find((item) => item.slot === slot)!.spec, PLAIN_CONTEXT).question);
    plan.forEach((_, slot) => expect(question(testItems, slot)).not.toBe(question(other, slot)));
    expect(sittingOf(plan, by(5), 'same')).toEqual(sittingOf(plan, by(5), 'same'));
    expect(sittingOf(plan, by(5), 'same').map(({ slot }) => slot)).toEqual(plan.map((_, i) => i));
  });

  it('is about as hard in every variant', () => {
    const hardness = Array.from({ length: 40 }, (_, seed) => {
      const apart = itemsOfSitting(sittingOf(plan, by(seed), 'own'), PLAIN_CONTEXT).flatMap(({ item }) =>
        item.apart ? [item.apart.deltaE] : [],
      );
      return apart.reduce((a, b) => a + b, 0) / apart.length;
    });
    expect(Math.max(...hardness) / Math.min(...hardness)).toBeLessThan(1.8);
  });

  it('takes every facet of a skill before one comes twice', () => {
    const facets = facetsOf('level', PLAIN_CONTEXT);
    const slots = planTest([{ skill: 'level', count: 20 }], 2, PLAIN_CONTEXT, 3);
    const counts = facets.map((f) => slots.filter(({ facet }) => facet === f).length);
    expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
  });

  it('asks nothing twice in the same words', () => {
    for (const skill of SKILLS) {
      const much = planTest([{ skill, count: 20 }], 3, PLAIN_CONTEXT, 5);
      for (let seed = 0; seed < 4; seed++) {
        const items = itemsOfSitting(sittingOf(much, by(seed), 'own'), PLAIN_CONTEXT);
        const asked = new Set(items.map(({ item }) => questionName(item)));
        expect({ skill, asked: asked.size }).toEqual({ skill, asked: 20 });
      }
    }
  });

  it('is refused where a skill has nothing to ask', () => {
    const pale = { ...PLAIN_CONTEXT, scope: { ...PLAIN_CONTEXT.scope, minLevel: 8 } };
    expect(() => planTest([{ skill: 'grey', count: 1 }], 1, pale, 1)).toThrow(NothingToAsk);
  });
});

describe('analysis of a test', () => {
  it('agrees with figures worked by hand', () => {
    const sittings = [
      [1, 1, 1], [1, 1, 0], [1, 0, 0], [0, 0, 1], [0, 0, 0], [1, 1, 1],
    ].map((scores) => ({ scores })); // prettier-ignore
    const [first, second, third] = analyseSlots(sittings, 3);
    expect(first.difficulty).toBeCloseTo(4 / 6);
    // Pearson of 1 1 1 0 0 1 with 2 1 0 1 0 2: covariance 1/6, deviations √(2/9) and √(2/3).
    expect(first.discrimination).toBeCloseTo(0.433, 3);
    expect(second.discrimination).toBeGreaterThan(third.discrimination!);
  });

  it('claims nothing of few sittings or of a slot that all or none got', () => {
    expect(analyseSlots([{ scores: [1] }], 1)[0].discrimination).toBeNull();
    const all = Array.from({ length: 8 }, (_, i) => ({ scores: [1, i % 2] }));
    expect(analyseSlots(all, 2)[0]).toMatchObject({ difficulty: 1, discrimination: null });
    expect(analyseSlots([], 2).map(({ difficulty }) => difficulty)).toEqual([0, 0]);
  });
});

describe('facets of older answers', () => {
  it('count for the group that they are in today', () => {
    expect(facetToday('level', '4')).toBe('darkLevels');
    expect(facetToday('predict', '5')).toBe('mediumLevels');
    expect(facetToday('toner', '10')).toBe('lightLevels');
    expect(facetToday('tone', 'mahogany')).toBe('reds');
    for (const skill of SKILLS)
      for (const facet of facetsOf(skill, PLAIN_CONTEXT)) expect(facetToday(skill, facet)).toBe(facet);
  });
});
