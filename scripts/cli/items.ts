import { levelOfLightness, nameColour } from '../../core/colour';
import {
  DRILL_STEPS,
  PLAIN_CONTEXT,
  SKILLS,
  facetsOf,
  generate,
  skillSchema,
  type DrillContext,
  type DrillStep,
  type Item,
  type Picture,
  type Skill,
  type Term,
} from '../../core/drill';
import type { Reason } from '../../core/reason';
import { HOUSE_RULES, choicesOf, houseRulesSchema } from '../../core/rules';
import { answerWords } from '../../web/features/drill/answer-words';
import { termWords } from '../../web/features/drill/words';
import { i18n } from '../../web/lib/i18n';
import '../../web/lib/words/reasons';

/** One question of a drill in words, for worksheets, other systems, and whoever reads the questions through. */
export interface PrintedItem {
  skill: Skill;
  facet: string;
  step: DrillStep;
  seed: number;
  question: string;
  /** What is known besides, a line each. */
  facts: string[];
  /** What the hair in view looks like, lock by lock; null where there is none. */
  picture: string | null;
  /** Answers to choose from; null where it is answered otherwise. */
  options: { text: string; right: boolean; reason: string | null }[] | null;
  /** The right answer. */
  answer: string;
  /** Unit of a figure; null where it has none. */
  unit: string | null;
  /** How far off a figure may be and still be right, in its unit; null where that is no matter of distance. */
  tolerance: number | null;
  /** Why the right answer is right. */
  reasons: string[];
}

/** What the command was called with. Errors name the option. */
export interface ItemsAsked {
  skill: Skill;
  /** One facet; all in turn where it is null. */
  facet: string | null;
  /** One step of difficulty; all in turn where it is null. */
  step: DrillStep | null;
  seed: number;
  count: number;
  school: 'usual' | 'other';
}

const words = (term: Term) => termWords(i18n.t, term);
const sentence = ({ code, params }: Reason) => i18n.t(code, { ns: 'reasons', ...params });
const tenth = (value: number) => Math.round(value * 10) / 10;

function lockWords({ look, caption }: Picture): string {
  const zones = look.zones.map(({ colour, greyShare }) => {
    const level = levelOfLightness(colour.l);
    const { tone } = nameColour(colour, level);
    const white = greyShare > 0 ? `, ${Math.round(greyShare * 100)} % white` : '';
    return `looks like level ${tenth(level)}, ${i18n.t(`tone.${tone}`, { ns: 'craft' })}${white}`;
  });
  return `${caption ? `${words(caption)}: ` : ''}${zones.join('; ')}`;
}

/** An item in the words of the interface. */
export function printedItem(item: Item): PrintedItem {
  const { question, solution, slips, why, facet, seed } = item;
  const { skill, step, form, facts, pictures, ask } = question;
  const of = (index: number) => slips.find(({ answer }) => answer === index);
  return {
    skill,
    facet,
    step,
    seed,
    question: words(ask),
    facts: facts.map(words),
    picture: pictures.length > 0 ? pictures.map(lockWords).join(' | ') : null,
    options:
      form.kind === 'choice'
        ? form.options.map((option, index) => {
            const slip = of(index);
            return {
              text: words(option),
              right: solution.kind === 'choice' && solution.right === index,
              reason: slip ? sentence(slip.why) : null,
            };
          })
        : null,
    answer: answerWords(i18n.t, item, 'right'),
    unit:
      form.kind === 'figure'
        ? form.unit
        : form.kind === 'level'
          ? 'level'
          : form.kind === 'share'
            ? 'fraction'
            : null,
    tolerance: solution.kind === 'figure' ? Math.round(solution.full * 100) / 100 : null,
    reasons: why.map(sentence),
  };
}

/** House rules of the school that does each thing the other way. */
const otherSchool = (): DrillContext => ({
  ...PLAIN_CONTEXT,
  rules: houseRulesSchema.parse(Object.fromEntries(HOUSE_RULES.map((rule) => [rule, choicesOf(rule)[1]]))),
});

/** Items as they are asked for: facets and steps in turn, seeds counted up. @throws RangeError naming the option */
export function itemsOf({ skill, facet, step, seed, count, school }: ItemsAsked): PrintedItem[] {
  const context = school === 'other' ? otherSchool() : PLAIN_CONTEXT;
  const known = facetsOf(skill, context);
  if (facet !== null && !known.includes(facet))
    throw new RangeError(`--facet: ${skill} has no ${facet}. It has ${known.join(', ')}.`);
  const facets = facet === null ? known : [facet];
  const steps = step === null ? DRILL_STEPS : [step];
  return Array.from({ length: count }, (_, i) =>
    printedItem(
      generate(
        {
          skill,
          facet: facets[i % facets.length],
          step: steps[Math.floor(i / facets.length) % steps.length],
          seed: seed + i,
        },
        context,
      ),
    ),
  );
}

const MOST_ITEMS = 10_000;

/** Reads the options of the command. @throws RangeError naming the one that is wrong and what it may be */
export function itemsAsked(args: readonly string[]): ItemsAsked {
  const given = new Map<string, string>();
  for (const arg of args) {
    const option = /^--(skill|facet|step|seed|count|school)=(.+)$/.exec(arg);
    if (!option) throw new RangeError(`${arg} is no option of items.`);
    given.set(option[1], option[2]);
  }
  const whole = (name: string, usual: number, most: number): number => {
    const value = Number(given.get(name) ?? usual);
    if (!Number.isInteger(value) || value < 0 || value > most)
      throw new RangeError(`--${name}: give a whole number from 0 to ${most}.`);
    return value;
  };
  const skill = skillSchema.safeParse(given.get('skill'));
  if (!skill.success) throw new RangeError(`--skill: give one of ${SKILLS.join(', ')}.`);
  const step = given.has('step') ? whole('step', 1, DRILL_STEPS.length) : null;
  if (step === 0) throw new RangeError(`--step: give a whole number from 1 to ${DRILL_STEPS.length}.`);
  const school = given.get('school') ?? 'usual';
  if (school !== 'usual' && school !== 'other') throw new RangeError('--school: give usual or other.');
  return {
    skill: skill.data,
    facet: given.get('facet') ?? null,
    step: step as DrillStep | null,
    seed: whole('seed', 1, 0xffffffff - MOST_ITEMS),
    count: whole('count', 10, MOST_ITEMS),
    school,
  };
}
