import type { ReactNode } from 'react';

export const SMALL = 'rounded-sm border border-strong-line bg-raised px-1.5 py-0.5 text-sm min-h-8 min-w-11';

export function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <label className="flex items-center justify-between gap-2 text-sm">
      <span>{label}</span>
      {children}
    </label>
  );
}

interface PickProps<T extends string | number> {
  label: string;
  value: T;
  options: readonly T[];
  text?: (value: T) => string;
  onPick: (value: T) => void;
}

/** One setting with a list to pick from; what a link holds beside the list is kept in it. */
export function PickRow<T extends string | number>({
  label,
  value,
  options,
  text = String,
  onPick,
}: PickProps<T>) {
  const all = options.includes(value) ? options : [...options, value];
  return (
    <Row label={label}>
      <select
        className={`${SMALL} max-w-36`}
        value={value}
        onChange={({ target }) => onPick(all.find((option) => String(option) === target.value)!)}
      >
        {all.map((option) => (
          <option key={option} value={option}>
            {text(option)}
          </option>
        ))}
      </select>
    </Row>
  );
}

export function TickRow({
  label,
  value,
  onTick,
}: {
  label: string;
  value: boolean;
  onTick: (value: boolean) => void;
}) {
  return (
    <Row label={label}>
      <input
        type="checkbox"
        className="accent-accent size-5"
        checked={value}
        onChange={({ target }) => onTick(target.checked)}
      />
    </Row>
  );
}

export function HairGroup({ legend, children }: { legend: string; children: ReactNode }) {
  return (
    <fieldset className="border-line flex flex-col gap-1 border-t pt-1">
      <legend className="text-quiet pe-2 text-xs">{legend}</legend>
      {children}
    </fieldset>
  );
}

export const HALF_LEVELS = Array.from({ length: 19 }, (_, i) => 1 + i / 2);
export const TENTHS = Array.from({ length: 11 }, (_, i) => i / 10);
