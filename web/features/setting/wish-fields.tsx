import { TONE_FAMILIES, topLevel, type LevelScale } from '@cimbel/core/colour';
import type { Target } from '@cimbel/core/card';
import { DIRECT_DYES } from '@cimbel/core/shades';
import { useTranslation } from 'react-i18next';
import { Pick } from '../bench/pick';

/** Whole and half levels from 1 to a top. */
export const levelsUpTo = (top: number) => Array.from({ length: 2 * top - 1 }, (_, i) => 1 + i / 2);

/** A wish: level and tone, or a ready-made dye over the level. */
export function WishFields({
  wish,
  scale,
  onChange,
}: {
  wish: Target;
  scale: LevelScale;
  onChange: (wish: Target) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  return (
    <>
      <Pick
        label={t('service.wishLevel')}
        value={wish.level}
        options={levelsUpTo(topLevel(scale)).map((value) => ({ value, text: String(value) }))}
        onChange={(level) => onChange({ ...wish, level })}
      />
      <Pick
        label={t('set.tone')}
        value={wish.vivid ?? wish.tone.primary}
        options={[
          ...TONE_FAMILIES.map((value) => ({ value, text: t(`craft:tone.${value}`) })),
          ...DIRECT_DYES.map((value) => ({ value, text: t('service.vividDye', { vivid: value }) })),
        ]}
        onChange={(chosen) => {
          const dye = DIRECT_DYES.find((one) => one === chosen);
          const tone = TONE_FAMILIES.find((one) => one === chosen);
          onChange(
            dye
              ? { level: wish.level, tone: { primary: 'neutral' }, vivid: dye }
              : { level: wish.level, tone: { primary: tone! } },
          );
        }}
      />
    </>
  );
}
