/** Names that files keep, by what the code calls them, so that programs that read the files go on reading them. */
const FILE_NAMES: Readonly<Record<string, string>> = {
  noticeable: 'notice',
  needsCorrection: 'correct',
};
const CODE_NAMES = Object.fromEntries(Object.entries(FILE_NAMES).map(([code, file]) => [file, code]));

const renamed = (value: unknown, names: Readonly<Record<string, string>>): unknown => {
  if (Array.isArray(value)) return value.map((entry) => renamed(entry, names));
  if (typeof value === 'string') return names[value] ?? value;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, entry]) => [names[name] ?? name, renamed(entry, names)]),
  );
};

/** A table of ceilings, or its JSON Schema, as a file has it. */
export const inFileNames = <T>(value: T): T => renamed(value, FILE_NAMES) as T;
/** The ceilings of a file's house rules in the names of the code; anything else stays as it is. */
export function withCodeNames(data: unknown): unknown {
  if (typeof data !== 'object' || data === null || !('houseRules' in data)) return data;
  const { houseRules } = data;
  if (typeof houseRules !== 'object' || houseRules === null || !('ceilings' in houseRules)) return data;
  return { ...data, houseRules: { ...houseRules, ceilings: renamed(houseRules.ceilings, CODE_NAMES) } };
}
/** A field as a file calls it. */
export const fieldInFile = (name: PropertyKey): string => FILE_NAMES[String(name)] ?? String(name);
