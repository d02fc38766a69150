import { Field, Select } from '../../ui/field';

/** One of a list, in a field of its own. */
export function Pick<T extends string | number>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <Field label={label}>
      <Select
        value={String(value)}
        onChange={({ target }) =>
          onChange(options.find((option) => String(option.value) === target.value)!.value)
        }
      >
        {options.map((one) => (
          <option key={one.value} value={String(one.value)}>
            {one.text}
          </option>
        ))}
      </Select>
    </Field>
  );
}
