import { TONE_FAMILIES, topLevel, type LevelScale } from '@cimbel/core/colour';
import { GREY_WISHES, type Target } from '@cimbel/core/case';
import { DIRECT_DYES } from '@cimbel/core/hair';
import { useTranslation } from 'react-i18next';
import { Pick } from '../bench/pick';
import '../../lib/words/craft';
import '../../lib/words/educating';
import '../../lib/words/bench';

/** Whole and half levels from 1 to a top. */
export const levelsUpTo = (top: number) => Array.from({ length: 2 * top - 1 }, (_, i) => 1 + i / 2);

/** A target: level and tone, or a direct dye over the level; over white hair what becomes of it. */
export function WishFields({
  wish,
  scale,
  overGrey = false,
  onChange,
}: {
  wish: Target;
  scale: LevelScale;
  /** Whether there is white hair to be covered, blended or left. */
  overGrey?: boolean;
  onChange: (wish: Target) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const { vivid: _vivid, ...plain } = wish;
  return (
    <>
      <Pick
        label={t('bench.wishLevel')}
        value={wish.level}
        options={levelsUpTo(topLevel(scale)).map((value) => ({ value, text: String(value) }))}
        onChange={(level) => onChange({ ...wish, level })}
      />
      <Pick
        label={t('set.tone')}
        value={wish.vivid ?? wish.tone.primary}
        options={[
          ...TONE_FAMILIES.map((value) => ({ value, text: t(`craft:tone.${value}`) })),
          ...DIRECT_DYES.map((value) => ({ value, text: t('bench.vividDye', { vivid: value }) })),
        ]}
        onChange={(chosen) => {
          const dye = DIRECT_DYES.find((directDye) => directDye === chosen);
          const tone = TONE_FAMILIES.find((family) => family === chosen);
          onChange(
            dye
              ? { level: wish.level, tone: { primary: 'neutral' }, vivid: dye }
              : { ...plain, tone: { primary: tone! } },
          );
        }}
      />
      {wish.vivid ? null : (
        <Pick
          label={t('set.secondTone')}
          value={wish.tone.secondary ?? ''}
          options={[
            { value: '', text: t('set.noSecondTone') },
            ...TONE_FAMILIES.filter((family) => family !== wish.tone.primary).map((value) => ({
              value,
              text: t(`craft:tone.${value}`),
            })),
          ]}
          onChange={(chosen) => {
            const secondary = TONE_FAMILIES.find((family) => family === chosen);
            onChange({
              ...plain,
              tone: { primary: wish.tone.primary, ...(secondary ? { secondary } : {}) },
            });
          }}
        />
      )}
      {overGrey && !wish.vivid ? (
        <Pick
          label={t('set.greyWish')}
          value={wish.grey ?? 'cover'}
          options={GREY_WISHES.map((value) => ({ value, text: t(`craft:greyWish.${value}`) }))}
          onChange={(grey) => {
            const { grey: _, ...covered } = plain;
            onChange(grey === 'cover' ? covered : { ...covered, grey });
          }}
        />
      ) : null}
    </>
  );
}
