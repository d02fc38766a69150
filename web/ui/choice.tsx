import { Radio, RadioGroup } from '@headlessui/react';

/** One of a few, as a row of boxes; arrow keys move along it. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  disabled = false,
}: {
  label: string;
  value: T | null;
  /** A choice that does not go with the rest can be seen and not taken. */
  options: readonly { value: T; text: string; disabled?: boolean }[];
  onChange: (value: T) => void;
  disabled?: boolean;
}) {
  return (
    <RadioGroup
      // Null is no choice; undefined would let the row keep a choice of its own.
      value={value}
      onChange={(chosen) => chosen !== null && onChange(chosen)}
      disabled={disabled}
      aria-label={label}
      className="flex flex-wrap gap-2"
    >
      {options.map((option) => (
        <Radio
          key={option.value}
          value={option.value}
          disabled={option.disabled}
          className="border-strong-line bg-raised data-checked:border-accent data-checked:bg-accent data-checked:text-on-accent min-h-10 rounded-sm border px-3 py-1.5 data-disabled:opacity-60"
        >
          {option.text}
        </Radio>
      ))}
    </RadioGroup>
  );
}
