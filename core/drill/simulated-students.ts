import { type Random, seededRandom } from '../random';
import { chanceOf } from './chance';
import type { DrillContext } from './context';
import type { Item, Response } from './item';
import { rightResponse, markItem } from './mark';
import { memoryOf, type Answered, afterAnswer } from './memory';
import { ideaOf } from './mistake-pattern';
import { type AskedItem, nextItem, questionName } from './next-item';
import type { ProfileAnswer } from './reading-profile';
import { type Skill, isByEye } from './skill';

/**
 * A simulated student: what is answered to an item. Stands in for people where many answers are needed: to see what an
 * eye of known faults scores, and to fill the demo class.
 */
export type Learner = (item: Item, random: Random) => Response;

const pick = (count: number, random: Random) => Math.floor(random() * count);

/** Knows everything. */
export const expert: Learner = (item) => rightResponse(item);

/** Looks at nothing: any answer the form allows, each as likely. */
export const guesser: Learner = ({ question: { form, pictures } }, random) => {
  switch (form.kind) {
    case 'level': {
      const steps = form.halves ? 19 : 10;
      return { kind: 'figure', value: 1 + (pick(steps, random) * 9) / (steps - 1) };
    }
    case 'share':
      return { kind: 'figure', value: pick(100 / form.stepPercent + 1, random) * (form.stepPercent / 100) };
    case 'figure':
      return { kind: 'figure', value: Math.round(random() * 1500) / 10 };
    case 'choice':
      return { kind: 'choice', index: pick(form.options.length, random) };
    case 'order': {
      const order = pictures.map((_, i) => i);
      for (let i = order.length - 1; i > 0; i--) {
        const j = pick(i + 1, random);
        [order[i], order[j]] = [order[j], order[i]];
      }
      return { kind: 'order', order };
    }
    case 'mark':
      return { kind: 'mark', at: form.marks.map(() => random()).sort((a, b) => a - b) };
    case 'amounts':
      return { kind: 'amounts', grams: form.things.map(() => Math.round(random() * 1200) / 10) };
    case 'shares':
      return {
        kind: 'shares',
        shares: form.places.map(() => pick(11, random) / 10),
        natural: pick(form.naturals.length, random),
      };
    case 'clock': {
      const minute = () => pick(form.most + 1, random);
      return { kind: 'clock', starts: form.zones.map(minute), checks: [minute(), minute()], rinse: minute() };
    }
  }
};

/** Knows everything, but sees hair so many levels too light (or, below 0, too dark); reads to what the form allows. */
export const biasedBy =
  (levels: number): Learner =>
  (item, random) => {
    const { form } = item.question;
    const right = rightResponse(item);
    if (form.kind !== 'level' || right.kind !== 'figure') return right;
    const seen = right.value + levels;
    const grain = form.halves ? 0.5 : 1;
    // Between two steps of the form either is as likely.
    const rounded = Math.floor(seen / grain + random()) * grain;
    return { kind: 'figure', value: Math.min(10, Math.max(1, rounded)) };
  };

/** Right with a chance that falls with the step: `ability` is the step at which three of four answers are right. */
export const ofAbility =
  (ability: number): Learner =>
  (item, random) => {
    const chance = 1 / (1 + Math.exp(-(ability - item.question.step + 1.1)));
    return random() < chance ? rightResponse(item) : guesser(item, random);
  };

/** Lets a learner practise as the application would have it. Seconds are made up. */
export function practise(
  learner: Learner,
  skills: readonly Skill[],
  context: DrillContext,
  {
    answers,
    seed,
    start,
    everyMs = 12_000,
  }: { answers: number; seed: number; start: number; everyMs?: number },
  known: readonly ProfileAnswer[] = [],
): (ProfileAnswer & { seed: number; response: Response })[] {
  const random = seededRandom(seed);
  let memory = memoryOf(known);
  const given: (ProfileAnswer & { seed: number; response: Response })[] = [];
  const asked: AskedItem[] = [];
  for (let i = 0; i < answers; i++) {
    const at = start + i * everyMs;
    const made = nextItem(
      { skills, memory, now: at, seed: Math.floor(random() * 2 ** 31), before: asked },
      context,
    );
    if (!made) break;
    const { spec, item } = made;
    const response = learner(item, random);
    const mark = markItem(item, response);
    const { score, reading } = mark;
    const { light } = item.question;
    asked.push({ ...spec, name: questionName(item), idea: ideaOf(spec.skill, mark, light) });
    const seconds = (isByEye(spec.skill) ? 4 : 9) + random() * 8;
    const answered: Answered = {
      skill: spec.skill,
      facet: spec.facet,
      step: spec.step,
      score,
      assisted: false,
      at,
    };
    memory = afterAnswer(memory, answered);
    const chance = chanceOf(item);
    given.push({ ...answered, seconds, light, reading, chance, seed: spec.seed, response });
  }
  return given;
}
