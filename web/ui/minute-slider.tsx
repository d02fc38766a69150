import { useTranslation } from 'react-i18next';
import '../lib/words/lab';

/** Where on a scale of time one looks: dragged, or by the arrow keys a step at a time. */
export function TimeSlider({
  label,
  value,
  last,
  dark = false,
  onChange,
}: {
  label: string;
  value: number;
  /** The last that can be looked at. */
  last: number;
  /** On the dark surround of a picture. */
  dark?: boolean;
  onChange: (value: number) => void;
}) {
  return (
    <label className="flex flex-1 basis-60 flex-wrap items-center gap-3 font-semibold">
      {label}
      <input
        type="range"
        className={`h-8 min-w-32 flex-1 ${dark ? 'accent-on-surround' : 'accent-ink'}`}
        min={0}
        max={last}
        step={1}
        value={value}
        onChange={({ target }) => onChange(Number(target.value))}
      />
      <output className="font-display w-12 text-end text-2xl">{value}</output>
    </label>
  );
}

/** Where on a clock one looks. */
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
  return <TimeSlider label={t('lab.minute')} value={minute} last={last} dark={dark} onChange={onMinute} />;
}
