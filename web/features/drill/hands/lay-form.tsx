import type { Term } from '@cimbel/core/drill';
import type { Line } from '@cimbel/core/product';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useShortcuts } from '../../../lib/shortcuts';
import { Key } from '../../../ui/key';
import { termWords } from '../words';
import { Tube } from './tube';
import '../../../lib/words/reading';

/** One row of what can be taken, each by a key of its own. */
function Row({
  label,
  options,
  keys,
  chosen,
  picture,
  onChoose,
}: {
  label: string;
  options: readonly string[];
  keys: readonly string[];
  chosen: number | null;
  picture?: (index: number) => ReactNode;
  onChoose: (index: number) => void;
}) {
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-col gap-1.5">
      <p className="text-quiet text-sm">{label}</p>
      <div className={`grid gap-1.5 ${options.length === 3 ? 'sm:grid-cols-3' : 'sm:grid-cols-2'}`}>
        {options.map((option, i) => (
          <button
            key={option}
            type="button"
            role="radio"
            aria-checked={chosen === i}
            onClick={() => onChoose(i)}
            className="border-strong-line bg-raised hover:bg-sheet aria-checked:border-accent aria-checked:bg-accent aria-checked:text-on-accent flex min-h-12 items-center gap-3 rounded-sm border px-3 py-2 text-start"
          >
            <span aria-hidden className="max-md:hidden">
              <Key>{keys[i]}</Key>
            </span>
            {picture?.(i) ?? option}
          </button>
        ))}
      </div>
    </div>
  );
}

const THING_KEYS = ['1', '2', '3', '4'];
const DOSE_KEYS = ['5', '6', '7'];

/** What is laid on, and how much of it; nothing happens before it is laid. */
export function LayForm({
  kind,
  things,
  doses,
  line,
  onChange,
}: {
  kind: 'lay' | 'beam';
  things: readonly Term[];
  doses: readonly Term[];
  /** Line whose tubes the things are, where they are. */
  line: Line | null;
  /** The option of the question, things outside and doses within, once both are chosen. */
  onChange: (index: number) => void;
}) {
  const { t } = useTranslation(['ui', 'drill']);
  const [thing, setThing] = useState<number | null>(null);
  const [dose, setDose] = useState<number | null>(null);
  const set = (nextThing: number | null, nextDose: number | null) => {
    setThing(nextThing);
    setDose(nextDose);
    if (nextThing !== null && nextDose !== null) onChange(nextThing * doses.length + nextDose);
  };
  useShortcuts(
    Object.fromEntries([
      ...things.map((_, i) => [THING_KEYS[i], () => set(i, dose)]),
      ...doses.map((_, i) => [DOSE_KEYS[i], () => set(thing, i)]),
    ]),
  );
  const labelOf = ({ code, params }: Term) => (code === 'option.label' ? String(params.label) : null);
  return (
    <div className="flex flex-col gap-4">
      <Row
        label={t(`reading.hands.${kind}.thing`)}
        options={things.map((term) => termWords(t, term))}
        keys={THING_KEYS}
        chosen={thing}
        picture={
          line
            ? (i) => {
                const label = labelOf(things[i]);
                return label === null ? null : <Tube line={line} label={label} />;
              }
            : undefined
        }
        onChoose={(i) => set(i, dose)}
      />
      <Row
        label={t(`reading.hands.${kind}.dose`)}
        options={doses.map((term) => termWords(t, term))}
        keys={DOSE_KEYS}
        chosen={dose}
        onChoose={(i) => set(thing, i)}
      />
    </div>
  );
}
