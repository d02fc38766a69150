/** Kinds of things that can be looked for. */
export const FOUND_KINDS = [
  'class',
  'student',
  'assignment',
  'test',
  'practice',
  'exercise',
  'chart',
  'line',
] as const;
export type FoundKind = (typeof FOUND_KINDS)[number];

/** Something that whoever asks may open, by what it is called. */
export interface SearchEntry {
  /** What it is. */
  kind: FoundKind;
  /** Its id: a UUID, or the name of a line that ships. */
  id: string;
  /** What it is called. */
  title: string;
  /** What else it is known by: the number of a student, tags of an exercise; empty where nothing. */
  also: string;
  /** Id of the class it belongs to, a UUID; null where it belongs to none. */
  classId: string | null;
  /** Name of that class; null where there is none. */
  className: string | null;
}
