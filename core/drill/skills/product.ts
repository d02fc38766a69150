import { reason } from '../../reason';
import { liftOf } from '../../rules';
import { chooseAmong } from '../choice';
import { levelsOf } from '../context';
import { term } from '../item';
import { judgementFacets, hasJudgements, judge } from '../judgement';
import type { ItemRequest, MadeItem, SkillMaker } from '../maker';
import { insist } from '../random-draw';

/** Hair that a product goes on, and whether its colour can be lifted by colour. */
const HAIRS = ['natural', 'dyed', 'lightened'] as const;
const PRODUCTS = ['permanent', 'demi', 'acidGloss'] as const;
const VOLS = [10, 20, 30, 40] as const;

/** The level that colour leaves: by its developer on natural hair, and no lighter on what is dyed (D2, P1). */
function comesOut({ draw, scope, step }: ItemRequest): MadeItem {
  const hair = draw.pick(step <= 2 ? HAIRS.slice(0, 2) : HAIRS);
  const product = draw.pick(PRODUCTS);
  const level = draw.pick(levelsOf(scope, hair === 'lightened' ? 7 : 3, hair === 'lightened' ? 9 : 7));
  const vol = product === 'permanent' ? draw.pick(hair === 'lightened' ? [10] : VOLS) : null;
  const shade = Math.min(10, level + draw.int(1, 3));
  const lifts =
    vol === null || hair !== 'natural'
      ? 0
      : Math.min(shade - level, liftOf(vol, { kind: 'permanent' }).typical);
  const right = level + lifts;
  insist(right <= 10, 'beyond the scale');
  const params = { level, shade, lifts, right, vol: vol ?? 0, product };
  const wrong = [shade, level, level + 1, level + 2, level + 3, level - 1, level - 2].filter(
    (value) => value >= 1 && value <= 10,
  );
  return {
    ask:
      vol === null
        ? term(`product.comesOut.${hair}Low`, { level, shade, product })
        : term(`product.comesOut.${hair}`, { level, shade, vol }),
    ...chooseAmong(
      draw,
      { value: right, words: term('option.level', { level: right }) },
      wrong.map((other) => ({
        value: other,
        words: term('option.level', { level: other }),
        slip: reason(
          other > right
            ? other === shade
              ? `drill.product.asOnTube.${hair === 'natural' && vol !== null ? 'natural' : hair === 'natural' ? 'low' : hair}`
              : 'drill.product.tooFar'
            : other >= level
              ? 'drill.product.notSoFar'
              : 'drill.product.noDarker',
          hair === 'natural' ? 'D2' : 'P1',
          { ...params, given: other },
        ),
      })),
      (value) => value === right,
      { options: 5 },
    ),
    why: [
      reason(
        hair === 'natural'
          ? vol === null
            ? 'drill.product.deposits'
            : lifts === 0
              ? 'drill.product.tenDeposits'
              : 'drill.product.lifts'
          : `drill.product.stays.${hair}`,
        hair === 'natural' ? 'D2' : 'P1',
        params,
      ),
    ],
  };
}

/** Skill 15: what each product can do on this hair, and which product does it (P1–P8). */
export const product: SkillMaker = {
  facets: ({ scope }) => [
    ...(levelsOf(scope, 3, 7).length > 0 && levelsOf(scope, 7, 9).length > 0 ? ['comesOut'] : []),
    ...judgementFacets('product'),
  ],
  make: (making) => (hasJudgements('product', making.facet) ? judge('product', making) : comesOut(making)),
};
