import { reason } from '../reason';
import type { HouseRule } from '../rules';
import { chooseAmong } from './choice';
import { houseFact } from './context';
import { term } from './item';
import { JUDGEMENTS } from './judgements';
import type { ItemRequest, MadeItem } from './maker';
import type { Skill, DrillStep } from './skill';

/**
 * A question of judgement with answers in words: the situation, the answer a careful colourist gives and the ones that
 * are met in training rooms instead, each with a sentence of its own. All of it is data; the words are the interface's.
 */
export interface Judgement {
  /** Names the words as well. */
  id: string;
  /** Skill of the drills. */
  skill: Skill;
  /** What is practised, finer than the skill. */
  facet: string;
  /** Of the handbook; null where it speaks without a rule of its own (cautions, aftercare). */
  rule: string | null;
  /** From 1, plain, to 5, where two rules meet. */
  hard: DrillStep;
  /** The right option; where schools differ, by the class's choice on that rule. */
  right: string | { house: HouseRule; by: Record<string, string> };
  /** All options, the right one among them; at least four. */
  options: readonly string[];
  /** Options that are sound but not the best, with the part of the mark they earn. */
  near?: Readonly<Record<string, number>>;
}

const rightOf = ({ right }: Judgement, rules: ItemRequest['rules']): string =>
  typeof right === 'string' ? right : right.by[String(rules[right.house])];

/** Facets of a skill’s questions of judgement under these house rules. */
export const judgementFacets = (skill: Skill): string[] => [
  ...new Set(JUDGEMENTS.filter((judgement) => judgement.skill === skill).map(({ facet }) => facet)),
];
/** Whether a facet is one of questions of judgement. */
export const hasJudgements = (skill: Skill, facet: string): boolean =>
  JUDGEMENTS.some((judgement) => judgement.skill === skill && judgement.facet === facet);

/** How often a judgement is of about the step's own difficulty; else it is any of the facet. */
const MOSTLY = 0.6;
const ABOUT = 1;

/** One judgement of a facet. */
export function judge(skill: Skill, { draw, facet, step, rules }: ItemRequest): MadeItem {
  const pool = JUDGEMENTS.filter((judgement) => judgement.skill === skill && judgement.facet === facet);
  const about = pool.filter(({ hard }) => Math.abs(hard - step) <= ABOUT);
  const one = draw.pick(about.length > 0 && draw.chance(MOSTLY) ? about : pool);
  const { id, options, near, right: named } = one;
  const rule = one.rule ?? undefined;
  const words = `judgement.${id}`;
  const right = rightOf(one, rules);
  const why = `drill.judgement.${id}.why`;
  return {
    ask: term(`${words}.ask`),
    facts: typeof named === 'string' ? [] : [houseFact(rules, named.house)],
    ...chooseAmong(
      draw,
      { value: right, words: term(`${words}.options.${right}`) },
      draw.shuffled(options).map((option) => ({
        value: option,
        words: term(`${words}.options.${option}`),
        slip: reason(`drill.judgement.${id}.slips.${option}`, rule),
        near: near?.[option],
      })),
      (option) => option === right,
      { options: 6 },
    ),
    why: [reason(typeof named === 'string' ? why : `${why}.${String(rules[named.house])}`, rule)],
  };
}
