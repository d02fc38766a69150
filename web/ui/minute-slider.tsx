import { useTranslation } from 'react-i18next';
import '../lib/words/lab';

/** Where on a clock one looks: dragged, or by the arrow keys a minute at a time. */
export function MinuteSlider({
  minute,
  last,
  dark = false,
  onMinute,
}: {
  minute: number;
  /** The last minute that can be looked at. */
  last: number;
  /** On the dark surround of a picture. */
  dark?: boolean;
  onMinute: (minute: number) => void;
}) {
  const { t } = useTranslation();
  return (
    <label className="flex flex-1 flex-wrap items-center gap-3 font-semibold">
      {t('lab.minute')}
      <input
        type="range"
        className={`h-8 min-w-32 flex-1 ${dark ? 'accent-on-surround' : 'accent-ink'}`}
        min={0}
        max={last}
        step={1}
        value={minute}
        onChange={({ target }) => onMinute(Number(target.value))}
      />
      <output className="font-display w-12 text-end text-2xl">{minute}</output>
    </label>
  );
}
