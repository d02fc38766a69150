import type { ReactNode } from 'react';
import { CircleCheck, CircleX } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useShortcuts } from '../../lib/shortcuts';
import { Key } from '../../ui/key';

export interface ChoiceOption {
  text: string;
  state: 'open' | 'right' | 'wrong' | 'other';
}
const LOOKS: Record<ChoiceOption['state'], string> = {
  open: 'border-strong-line bg-raised hover:bg-sheet aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-on-accent',
  right: 'border-good bg-raised border-2 font-semibold',
  wrong: 'border-bad bg-raised border-2',
  other: 'border-line bg-sheet text-quiet',
};

/** Options as a column of large buttons; the digits press them. */
export function ChoiceForm({
  label,
  options,
  chosen,
  onPress,
  closed,
  picture,
}: {
  label: string;
  options: readonly ChoiceOption[];
  chosen: number | null;
  onPress: (index: number) => void;
  closed: boolean;
  /** Shown in place of the words, which name it. */
  picture?: (index: number) => ReactNode;
}) {
  const { t } = useTranslation();
  useShortcuts(closed ? {} : Object.fromEntries(options.map((_, i) => [String(i + 1), () => onPress(i)])));
  return (
    <div role="group" aria-label={label} className="grid gap-1.5 sm:grid-cols-2">
      {options.map(({ text, state }, i) => (
        <button
          key={text}
          type="button"
          disabled={closed}
          aria-pressed={chosen === i}
          onClick={() => onPress(i)}
          className={`flex min-h-12 items-center gap-3 rounded-sm border px-3 py-2 text-start ${LOOKS[state]}`}
        >
          <span aria-hidden className="max-md:hidden">
            <Key>{i + 1}</Key>
          </span>
          {picture?.(i) ?? text}
          {state === 'right' || state === 'wrong' ? (
            <span className="ms-auto">
              {state === 'right' ? (
                <CircleCheck aria-hidden className="text-good size-5" />
              ) : (
                <CircleX aria-hidden className="text-bad size-5" />
              )}
              <span className="sr-only">{t(`reading.option.${state}`)}</span>
            </span>
          ) : null}
        </button>
      ))}
    </div>
  );
}
