import { PLACE_IDS } from '@cimbel/core/hair';
import type { Bowl } from '@cimbel/core/card';
import type { ClientCase, Target } from '@cimbel/core/case';
import type { StudentExercise } from '@cimbel/core/exercise';
import type { Line } from '@cimbel/core/product';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** A wish in the craft's notation. */
export function useWish(): (target: Target) => string {
  const { t } = useTranslation(['ui', 'craft']);
  return ({ level, tone, vivid, grey, shine }) => {
    if (vivid) return t('bench.wishVivid', { level, vivid });
    const colour = tone.secondary
      ? t('bench.consult.wishWith', { level, tone: tone.primary, second: tone.secondary })
      : t('bench.consult.wishText', { level, tone: tone.primary });
    if (shine) return t('bench.consult.wishShine', { colour });
    return grey && grey !== 'cover'
      ? t('bench.consult.wishGrey', { colour, grey: t(`craft:greyWish.${grey}`) })
      : colour;
  };
}

/** Every wish of a case, zone by zone, woven strands last. */
export function useWishes(): (
  clientCase: Pick<ClientCase, 'wish' | 'placements' | 'melts'>,
) => { name: string; text: string }[] {
  const { t } = useTranslation(['ui', 'craft']);
  const wish = useWish();
  return (clientCase) => [
    ...PLACE_IDS.flatMap((zone) => {
      const target = clientCase.wish[zone];
      return target ? [{ name: placeWord(t, zone), text: wish(target) }] : [];
    }),
    ...(clientCase.placements ?? []).map(({ share, zones, target, taken }) => ({
      name: t(taken ? 'bench.wovenAs' : 'bench.woven', {
        share,
        taken,
        places: zones.map((zone) => placeWord(t, zone)).join(', '),
      }),
      text: wish(target),
    })),
    ...(clientCase.melts ?? []).map(({ zones: [above, below], overCm }) => ({
      name: t('care.meltWish'),
      text: t('care.meltWords', { above, below, overCm }),
    })),
  ];
}

/** What shows of the hair without asking, and what stands on the shelf. */
export function useHairFacts(): (
  shown: Pick<StudentExercise, 'hair' | 'regions' | 'lines'>,
) => { term: string; value: string }[] {
  const { t } = useTranslation(['ui', 'craft']);
  return ({ hair, regions, lines }) => [
    ...regions.flatMap(({ name, diameter, density }) => {
      const at = name === null ? '' : `, ${t(`craft:region.${name}`)}`;
      return [
        { term: `${t('bench.consult.diameter')}${at}`, value: t(`craft:diameter.${diameter}`) },
        { term: `${t('bench.consult.density')}${at}`, value: t(`craft:density.${density}`) },
      ];
    }),
    { term: t('bench.consult.service'), value: t(`craft:service.${hair.length}`) },
    { term: t('bench.linesAtHand'), value: lines.map(({ name }) => name).join(', ') },
  ];
}

/** What is poured, by its strength: 0 vol is water, or the liquid of a remover, which has no peroxide. */
export const pourName = (t: TFunction, vol: number, kind?: Line['kind']): string =>
  vol > 0 ? t('answer.pour', { vol }) : t(kind === 'remover' ? 'answer.ownLiquid' : 'answer.water');

/** What is in a bowl, as it stands on a card. */
export function useBowlWords(): (bowl: Bowl, lines: readonly Line[]) => string {
  const { t } = useTranslation(['ui', 'craft']);
  return (bowl, lines) => {
    const line = lines.find(({ id }) => id === bowl.lineId);
    const parts = [
      ...(bowl.from
        ? [t('bench.bowlPart', { label: t('bench.leftoverOf', bowl.from), weight: bowl.from.grams })]
        : []),
      ...bowl.shades.map(({ label, grams: weight }) => t('bench.bowlPart', { label, weight })),
      ...(bowl.productGrams > 0 && line
        ? [t('bench.bowlPart', { label: line.name, weight: bowl.productGrams })]
        : []),
      ...bowl.developer.map(({ vol, grams: weight }) =>
        t('bench.bowlPart', {
          label: pourName(t, vol, line?.kind),
          weight,
        }),
      ),
    ];
    for (const { kind, grams: weight } of bowl.others ?? [])
      parts.push(t('bench.bowlPart', { label: t(`craft:addition.${kind}`), weight }));
    const additive = bowl.additive ? line?.additives?.[0] : undefined;
    if (additive) parts.push(additive.name);
    return parts.length > 0 ? parts.join(' + ') : t('answer.none');
  };
}
