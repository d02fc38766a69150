import { createContext, useContext, useId, useState, type ComponentProps, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { figureIn } from '../lib/figure-in';
import { figure } from '../lib/i18n';

const INPUT =
  'w-full rounded-sm border border-strong-line bg-raised px-3 py-1.5 text-base text-ink aria-invalid:border-bad aria-invalid:border-2';

const STEPS_OF: Partial<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 };

/** Names by which the control of a field is tied to what is written about it. */
interface Tied {
  id: string;
  'aria-describedby'?: string;
}
const TiedTo = createContext<Tied | undefined>(undefined);

/** Label, control, hint and error, tied together for screen readers. Plain elements: the first page is written with them. */
export function Field({
  label,
  hint,
  error,
  children,
  className = '',
}: {
  label: string;
  hint?: string;
  error?: string | null;
  children: ReactNode;
  className?: string;
}) {
  const id = useId();
  const about = [hint && `${id}hint`, error && `${id}error`].filter(Boolean).join(' ');
  return (
    <div className={`flex flex-col gap-1 ${className}`}>
      <label className="text-sm font-semibold" htmlFor={id}>
        {label}
      </label>
      <TiedTo value={{ id, 'aria-describedby': about || undefined }}>{children}</TiedTo>
      {hint ? (
        <p id={`${id}hint`} className="text-quiet text-sm">
          {hint}
        </p>
      ) : null}
      {error ? (
        <p id={`${id}error`} role="alert" className="text-bad text-sm font-semibold">
          {error}
        </p>
      ) : null}
    </div>
  );
}

interface NumberInputProps extends Omit<
  ComponentProps<'input'>,
  'value' | 'onChange' | 'min' | 'max' | 'step'
> {
  value: number | null;
  onValue: (value: number | null) => void;
  unit?: string;
  min?: number;
  max?: number;
  step?: number;
  /** Whether nothing at all is a figure as well. */
  zero?: boolean;
}

/**
 * A figure with its unit beside it. Empty is "not answered", never zero. A comma is a decimal sign as a point is; the up and
 * down arrows go by a step.
 */
export function NumberInput({
  value,
  onValue,
  unit,
  min = 0,
  max = Infinity,
  step = 1,
  zero = false,
  className = '',
  ...rest
}: NumberInputProps) {
  // What is being typed, "0." on the way to 0.5 say, stays as it is until the field is left.
  const [typed, setTyped] = useState<string | null>(null);
  const { i18n } = useTranslation();
  const field = useContext(TiedTo);
  // One that has a name of its own keeps it within a field with another.
  const tied = rest['aria-label'] ? undefined : field;
  const shown = value === null ? '' : figure(value, i18n.language);
  const stepBy = (steps: number) => {
    const next = Math.min(max, Math.max(min, (value ?? min) + steps * step));
    setTyped(null);
    onValue(Math.round(next * 1000) / 1000);
  };
  return (
    <span className="inline-flex items-center gap-2">
      <input
        {...tied}
        type="text"
        inputMode="decimal"
        role="spinbutton"
        autoComplete="off"
        aria-valuenow={value ?? undefined}
        aria-valuetext={shown === '' ? undefined : shown}
        aria-valuemin={min}
        aria-valuemax={Number.isFinite(max) ? max : undefined}
        className={`${INPUT} w-28 text-end ${className}`}
        value={typed ?? shown}
        onBlur={() => setTyped(null)}
        onKeyDown={(event) => {
          const by = STEPS_OF[event.key];
          if (by === undefined) return;
          event.preventDefault();
          stepBy(by);
        }}
        onChange={({ target }) => {
          setTyped(target.value);
          const read = figureIn(target.value);
          onValue(read !== null && (read > 0 || zero) ? read : null);
        }}
        {...rest}
      />
      {unit ? <span className="text-quiet">{unit}</span> : null}
    </span>
  );
}

/** The controls of a {@link Field}: they take its label, hint and error by themselves. */
export const Input = ({ className = '', ...rest }: ComponentProps<'input'>) => (
  <input {...useContext(TiedTo)} className={`${INPUT} ${className}`} {...rest} />
);
export const Textarea = ({ className = '', ...rest }: ComponentProps<'textarea'>) => (
  <textarea {...useContext(TiedTo)} className={`${INPUT} ${className}`} {...rest} />
);
export const Select = (props: ComponentProps<'select'>) => (
  <select {...useContext(TiedTo)} className={INPUT} {...props} />
);

/** One thing that is so or not. */
export function Tick({
  label,
  on,
  onChange,
}: {
  label: ReactNode;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="flex min-h-9 items-center gap-2">
      <input
        type="checkbox"
        className="accent-accent size-5 shrink-0"
        checked={on}
        onChange={({ target }) => onChange(target.checked)}
      />
      {label}
    </label>
  );
}
