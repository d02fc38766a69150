import { Radio, RadioGroup } from '@headlessui/react';
import { asSwatch, naturalLook } from '@cimbel/core/tress';
import { useTranslation } from 'react-i18next';
import { Tress } from '../../ui/tress';

const WHOLE = Array.from({ length: 10 }, (_, i) => i + 1);
/** The ring's own locks: natural, even, the same for everyone. */
const ringLook = (naturalLevel: number) =>
  asSwatch(
    naturalLook({ naturalLevel, greyShare: 0, porosity: 'normal', diameter: 'medium' }, 700 + naturalLevel),
  );

/**
 * The level ring laid out as a ruler: ten locks, and a narrow step between each two for the half levels.
 * Arrow keys move along it.
 */
export function LevelRing({
  value,
  onChange,
  label,
}: {
  value: number | null;
  onChange: (level: number) => void;
  label: string;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const levels = WHOLE.flatMap((level) => (level < 10 ? [level, level + 0.5] : [level]));
  return (
    <RadioGroup
      // Null is no choice; undefined would let the ring keep a choice of its own.
      value={value}
      onChange={(level) => level !== null && onChange(level)}
      aria-label={label}
      className="bg-surround flex max-w-3xl overflow-x-auto rounded-sm"
    >
      {levels.map((level) => {
        const whole = Number.isInteger(level);
        const name = whole
          ? t('bench.read.ring', { level, name: t(`craft:level.${level}`) })
          : t('bench.read.half', { from: level - 0.5, to: level + 0.5 });
        return (
          <Radio
            key={level}
            value={level}
            aria-label={name}
            title={name}
            className={`group text-on-surround relative flex flex-col items-center justify-end focus-visible:z-10 ${whole ? 'min-w-9 flex-1' : 'w-4 shrink-0'}`}
          >
            {whole ? <Tress look={ringLook(level)} width={38} height={92} label="" /> : null}
            <span
              aria-hidden
              className={`group-data-checked:bg-accent group-data-checked:text-on-accent border-on-surround/40 flex w-full items-center justify-center border-t pb-0.5 ${whole ? 'h-9 text-lg font-bold' : 'text-on-surround/80 h-9 text-xs group-hover:bg-white/25'}`}
            >
              {whole ? level : '½'}
            </span>
          </Radio>
        );
      })}
    </RadioGroup>
  );
}
