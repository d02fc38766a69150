import {
  chanceOf,
  facetsOf,
  generate,
  hasJudgements,
  markItem,
  DRILL_STEPS,
  PLAIN_CONTEXT,
  SKILLS,
  type Item,
  type Skill,
} from '@cimbel/core/drill';
import { termWords } from '../features/drill/words';
import { i18n } from './i18n';

/** Texts of the options of a choice in words; null where it is answered otherwise. */
function optionsOf({ question: { form } }: Item): string[] | null {
  if (form.kind !== 'choice' || form.byTress) return null;
  return form.options.map((option) => termWords(i18n.t, option));
}

/** Where a text stands among others: ties are shared. */
const among = (values: readonly number[], wanted: number): number[] =>
  values.flatMap((value, i) => (value === wanted ? [i] : []));
const middleOf = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Answers that somebody gives who knows nothing: the options they would take, each as likely. */
const BOTS: Record<string, (texts: readonly string[], item: Item) => number[]> = {
  longest: (texts) => {
    const lengths = texts.map(({ length }) => length);
    return among(lengths, Math.max(...lengths));
  },
  shortest: (texts) => {
    const lengths = texts.map(({ length }) => length);
    return among(lengths, Math.min(...lengths));
  },
  middle: (texts) => {
    const lengths = texts.map(({ length }) => length);
    return among(lengths, middleOf(lengths));
  },
  /** Takes the option that shares most words with what is asked and known. */
  echo: (texts, { question: { ask, facts } }) => {
    const said = new Set(
      [ask, ...facts].flatMap((term) => termWords(i18n.t, term).toLowerCase().split(/\W+/)),
    );
    const shared = texts.map(
      (text) =>
        text
          .toLowerCase()
          .split(/\W+/)
          .filter((word) => word.length > 3 && said.has(word)).length,
    );
    const most = Math.max(...shared);
    return most === 0 ? texts.map((_, i) => i) : among(shared, most);
  },
  /** Says no. */
  no: (texts) => {
    const noes = texts.flatMap((text, i) => (/^(no|none|nothing|never)\b/i.test(text) ? [i] : []));
    return noes.length > 0 ? noes : texts.map((_, i) => i);
  },
};

const ITEMS_EACH = 40;
const itemsOf = (skill: Skill, judged: boolean): Item[] =>
  facetsOf(skill, PLAIN_CONTEXT)
    .filter((facet) => hasJudgements(skill, facet) === judged)
    .flatMap((facet) =>
      Array.from({ length: ITEMS_EACH }, (_, seed) =>
        generate(
          { skill, facet, step: DRILL_STEPS[seed % DRILL_STEPS.length], seed: 700 + seed },
          PLAIN_CONTEXT,
        ),
      ),
    );

/** What a bot earns over what guessing earns, 0 to 1, over items that are answered by words. */
function earned(items: readonly Item[], bot: (typeof BOTS)[string]): number | null {
  let [over, most, count] = [0, 0, 0];
  for (const item of items) {
    const texts = optionsOf(item);
    if (!texts) continue;
    const chance = chanceOf(item);
    const taken = bot(texts, item);
    const score =
      taken.reduce((sum, index) => sum + markItem(item, { kind: 'choice', index }).score, 0) / taken.length;
    over += score - chance;
    most += 1 - chance;
    count++;
  }
  return count === 0 ? null : over / most;
}

/** Most that a bot may earn; over one skill's few questions of judgement the draw weighs as well. */
const MOST = 0.15;
const MOST_OF_A_SKILL = 0.25;

describe('questions cannot be guessed', () => {
  const judged = new Map(SKILLS.map((skill) => [skill, itemsOf(skill, true)]));
  const all = [...judged.values()].flat();

  it.each(Object.keys(BOTS))('questions of judgement, by the %s option', (name) => {
    expect(earned(all, BOTS[name])!).toBeLessThan(name === 'longest' ? 0.05 : MOST);
    for (const [skill, items] of judged) {
      const of = earned(items, BOTS[name]);
      if (of !== null && of > MOST_OF_A_SKILL) throw new Error(`${skill}: ${name} earns ${of.toFixed(2)}`);
    }
  });

  it('no facet is answered by its commonest answer', () => {
    const guessed: string[] = [];
    for (const skill of SKILLS)
      for (const facet of facetsOf(skill, PLAIN_CONTEXT)) {
        if (hasJudgements(skill, facet)) continue;
        const items = Array.from({ length: 80 }, (_, seed) =>
          generate(
            { skill, facet, step: DRILL_STEPS[seed % DRILL_STEPS.length], seed: 300 + seed },
            PLAIN_CONTEXT,
          ),
        );
        const answers = new Map<string, number>();
        let chance = 0;
        for (const item of items) {
          chance += chanceOf(item) / items.length;
          const { solution } = item;
          const texts = optionsOf(item);
          const answer =
            solution.kind === 'figure'
              ? String(solution.value)
              : solution.kind === 'choice' && texts
                ? texts[solution.right]
                : null;
          if (answer !== null) answers.set(answer, (answers.get(answer) ?? 0) + 1);
        }
        const [answer, times] = [...answers].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
        if (times / items.length > chance + 0.2 + 0.05)
          guessed.push(
            `${skill} ${facet}: ${answer} in ${times} of ${items.length}, chance ${chance.toFixed(2)}`,
          );
      }
    expect(guessed).toEqual([]);
  });
});
