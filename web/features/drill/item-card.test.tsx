import {
  PLAIN_CONTEXT,
  SKILLS,
  facetsOf,
  generate,
  markItem,
  rightResponse,
  type DrillContext,
  type Item,
  type Response,
} from '@cimbel/core/drill';
import { DEFAULT_HOUSE_RULES } from '@cimbel/core/rules';
import { i18n } from '../../lib/i18n';
import { htmlOf, textOf } from '../../testing/render';
import { answerWords } from './answer-words';
import { Figures } from './figures';
import { ItemCard } from './item-card';
import type { AnswerFeedback } from './feedback';
import { verdictOf } from './verdict';

const UNWORDED = /undefined|NaN|\{\{|\}\}|\[object|\bnull\b/;
const COARSE: DrillContext = {
  ...PLAIN_CONTEXT,
  rules: { ...DEFAULT_HOUSE_RULES, underlay: 'coarse', units: 'flOz', levelScale: 'twelve' },
};

/** One item of each skill at an easy, a middle and the hardest step, each of another facet. */
function itemsOf(context: DrillContext): { name: string; item: Item }[] {
  return SKILLS.flatMap((skill) => {
    const facets = facetsOf(skill, context);
    return ([1, 3, 5] as const).flatMap((step, i) => {
      const facet = facets[(i * 7) % facets.length];
      for (let seed = 1; seed < 40; seed++) {
        try {
          return [{ name: `${skill}, step ${step}`, item: generate({ skill, facet, step, seed }, context) }];
        } catch {
          // A draw that would have two answers is thrown away; the next seed makes another.
        }
      }
      throw new Error(`${skill} ${facet} ${step}`);
    });
  });
}
const NAMED = itemsOf(PLAIN_CONTEXT);
const ITEMS = NAMED.map(({ item }) => item);
const card = (item: Item, told: AnswerFeedback | null = null) => (
  <ItemCard
    question={{ ...item.question, ownLine: null }}
    hairs={item.question.pictures.map(({ look }) => ({ look }))}
    told={told}
    immediate
  />
);
const toldOf = (item: Item, response: Response): AnswerFeedback => ({
  item,
  response,
  mark: markItem(item, response),
});

describe('a question', () => {
  it.each(NAMED)('$name, is shown in words before and after it is answered', ({ item }) => {
    const asked = textOf(card(item));
    expect(asked).not.toMatch(UNWORDED);
    expect(asked.length).toBeGreaterThan(10);
    const name = textOf(card(item, toldOf(item, rightResponse(item))));
    expect(name).not.toMatch(UNWORDED);
    expect(name).toContain('Right');
    expect(textOf(card(item, { item, response: null, mark: null }))).not.toMatch(UNWORDED);
  });

  it('does not say its answer before it is given', () => {
    for (const item of ITEMS) {
      if (item.question.form.kind === 'choice') continue;
      const { t } = i18n;
      const right = answerWords(t, item, 'right');
      // A level or a figure also stands in what is asked; a name does not.
      if (/\d/.test(right)) continue;
      expect(textOf(card(item))).not.toContain(right);
    }
  });

  it('is worded by the school of the class as well, its figures as they are taught', () => {
    for (const { item } of itemsOf(COARSE)) expect(textOf(card(item))).not.toMatch(UNWORDED);
  });

  it('has a picture for each lock it shows, and figures for each on demand', () => {
    for (const item of ITEMS) {
      const pictures = item.question.pictures.length;
      const drawn = (htmlOf(card(item)).match(/<canvas/g) ?? []).length;
      expect(drawn).toBeGreaterThanOrEqual(pictures > 0 ? 1 : 0);
      if (pictures > 0) expect(textOf(<Figures item={item} />)).toMatch(/L\*/);
    }
  });

  it('tells right, near, wrong and left apart', () => {
    expect(verdictOf(null)).toBe('left');
    const seen = new Set(ITEMS.map((item) => verdictOf(markItem(item, rightResponse(item)))));
    expect([...seen]).toEqual(['right']);
    const choice = ITEMS.find(({ solution }) => solution.kind === 'choice')!;
    const { right } = choice.solution as { right: number };
    const other = markItem(choice, { kind: 'choice', index: right === 0 ? 1 : 0 });
    expect(['near', 'wrong']).toContain(verdictOf(other));
  });
});
