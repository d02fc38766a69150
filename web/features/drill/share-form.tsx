import { useTranslation } from 'react-i18next';
import { useShortcuts } from '../../lib/shortcuts';
import { Key } from '../../ui/key';
import '../../lib/words/reading';

/** The share of white in quarters or tenths. A digit is so many tenths; in quarters the first to the fifth. */
export function ShareForm({
  stepPercent,
  value,
  onPress,
}: {
  stepPercent: 10 | 25;
  value: number | null;
  onPress: (share: number) => void;
}) {
  const { t } = useTranslation();
  const shares = Array.from({ length: 100 / stepPercent + 1 }, (_, i) => (i * stepPercent) / 100);
  const keyOf = (i: number) => (stepPercent === 25 ? String(i + 1) : i < 10 ? String(i) : '');
  useShortcuts(Object.fromEntries(shares.map((share, i) => [keyOf(i), () => onPress(share)])));
  return (
    <div role="group" aria-label={t('reading.shares')} className="flex flex-wrap gap-1.5">
      {shares.map((share, i) => (
        <button
          key={share}
          type="button"
          aria-pressed={value === share}
          onClick={() => onPress(share)}
          className="border-strong-line bg-raised aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-on-accent flex min-h-12 min-w-16 flex-col items-center justify-center rounded-sm border px-2 font-semibold"
        >
          {t('reading.share', { share })}
          {keyOf(i) ? (
            <span aria-hidden className="max-md:hidden">
              <Key>{keyOf(i)}</Key>
            </span>
          ) : null}
        </button>
      ))}
    </div>
  );
}
