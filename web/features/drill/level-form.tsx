import { useTranslation } from 'react-i18next';
import { useShortcuts } from '../../lib/shortcuts';
import { Key } from '../../ui/key';
import '../../lib/words/craft';
import '../../lib/words/reading';
import '../../lib/words/bench';

const WHOLE = Array.from({ length: 10 }, (_, i) => i + 1);

/** Ten levels to press, with the halves between them when they are asked for. Digits choose; 0 is ten, the point adds a half. */
export function LevelForm({
  halves,
  value,
  onChange,
  onPress,
}: {
  halves: boolean;
  value: number | null;
  onChange: (level: number) => void;
  /** A press with the pointer: chosen and, in practice, answered. */
  onPress: (level: number) => void;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const byKey = halves ? onChange : onPress;
  useShortcuts({
    ...Object.fromEntries(WHOLE.map((level) => [String(level % 10), () => byKey(level)])),
    ...(halves
      ? {
          '.': () => {
            if (value === null || value >= 10) return;
            onChange(Number.isInteger(value) ? value + 0.5 : value - 0.5);
          },
        }
      : {}),
  });
  const box =
    'border-strong-line bg-raised aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-on-accent rounded-sm border font-semibold';
  return (
    <div>
      <div role="group" aria-label={t('reading.levels')} className="grid grid-cols-5 gap-1.5 md:grid-cols-10">
        {WHOLE.map((level) => (
          <div key={level} className="flex flex-col gap-1">
            <button
              type="button"
              aria-pressed={value === level}
              aria-label={t('reading.levelName', { level, name: t(`craft:level.${level}`) })}
              title={t(`craft:level.${level}`)}
              className={`${box} min-h-12 text-xl`}
              onClick={() => onPress(level)}
            >
              {level}
            </button>
            {halves && level < 10 ? (
              <button
                type="button"
                aria-pressed={value === level + 0.5}
                aria-label={t('bench.read.half', { from: level, to: level + 1 })}
                className={`${box} min-h-9 text-sm`}
                onClick={() => onPress(level + 0.5)}
              >
                {level}½
              </button>
            ) : null}
          </div>
        ))}
      </div>
      <p className="text-quiet mt-2 text-sm max-md:hidden">
        <Key>1</Key>–<Key>9</Key>, <Key>0</Key> {t('reading.zeroIsTen')}
        {halves ? (
          <>
            , <Key>.</Key> {t('reading.pointIsHalf')}
          </>
        ) : null}
      </p>
    </div>
  );
}
