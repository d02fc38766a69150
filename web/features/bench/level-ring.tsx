import { Radio, RadioGroup } from '@headlessui/react';
import { TOP_OF_TEN } from '@cimbel/core/colour';
import { lightenedStrand } from '@cimbel/core/hair';
import { asSwatch, naturalLook, strandLook, type TressLook } from '@cimbel/core/draw';
import { useTranslation } from 'react-i18next';
import { Tress } from '../../ui/tress';
import '../../lib/words/craft';
import '../../lib/words/bench';

/** The ring's own locks: natural, even, the same for everyone; beyond 10 hair that was lightened to there. */
const madeLook = (level: number) =>
  asSwatch(
    level > TOP_OF_TEN
      ? strandLook(
          [{ strand: lightenedStrand(level, TOP_OF_TEN), from: 0, to: 1 }],
          'daylight',
          'straight',
          700 + level,
        )
      : naturalLook(
          { naturalLevel: level, greyShare: 0, porosity: 'normal', diameter: 'medium' },
          700 + level,
        ),
  );

const looks = new Map<number, TressLook>();
/** Made once: they are the same in every ring, and a ring is drawn again with every choice. */
function ringLook(level: number): TressLook {
  const look = looks.get(level) ?? madeLook(level);
  looks.set(level, look);
  return look;
}

/**
 * The level ring laid out as a ruler: a lock for each level, and a narrow step between each two for the half levels.
 * Arrow keys move along it.
 */
export function LevelRing({
  value,
  onChange,
  label,
  top = TOP_OF_TEN,
}: {
  value: number | null;
  onChange: (level: number) => void;
  label: string;
  /** The lightest level there is a number for. */
  top?: number;
}) {
  const { t } = useTranslation(['ui', 'craft']);
  const levels = Array.from({ length: 2 * top - 1 }, (_, i) => 1 + i / 2);
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
