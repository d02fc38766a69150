import { type TressLook, type StretchOfHair, strandLook } from '../draw';
import { naturalStrand } from '../hair';
import type { Item, Response } from './item';
import { Unfit } from './random-draw';
import { type Subject, strandOfSubject, lookOfSubject } from './subject';

function subjectAnswered({ subject, reads, optionSubjects }: Item, response: Response): Subject | null {
  if (response.kind === 'choice') return optionSubjects?.[response.index] ?? null;
  if (response.kind !== 'figure' || !subject || !reads) return null;
  return reads === 'level' ? { ...subject, level: response.value } : { ...subject, white: response.value };
}

export interface Comparison {
  /** What it is. */
  truth: TressLook;
  /** What the answer given would look like. */
  answered: TressLook;
}

/** Levels by which colour over its own colour is deeper: the band that an overlap makes (A1). */
const BAND_DEEPER = 0.75;

/** Regrowth coloured up to the line, and up to where the brush stopped: growth that was left, or the band of an overlap. */
function brushed(item: Item, at: number): Comparison | null {
  const { solution, question, why } = item;
  const { root, lengths } = why[0]?.params ?? {};
  if (solution.kind !== 'mark' || typeof root !== 'number' || typeof lengths !== 'number') return null;
  const [line] = solution.at;
  const shown = question.pictures[0].look;
  const coloured = (level: number) =>
    strandOfSubject({ kind: 'toned', level: Math.max(1, level), tone: { primary: 'neutral' }, white: 0 });
  const drawn = (stretches: StretchOfHair[]): TressLook => ({
    ...strandLook(stretches, question.light, shown.form, shown.seed),
    shine: shown.shine,
  });
  const between = { from: Math.min(at, line), to: Math.max(at, line) };
  const left = at < line ? naturalStrand(root) : coloured(lengths - BAND_DEEPER);
  return {
    truth: drawn([{ from: 0, to: 1, strand: coloured(lengths) }]),
    answered: drawn([
      { from: 0, to: between.from, strand: coloured(lengths) },
      { ...between, strand: left },
      { from: between.to, to: 1, strand: coloured(lengths) },
    ]),
  };
}

/** The true hair and the hair of what was answered, drawn alike; null where an answer is no hair. */
export function comparisonOf(item: Item, response: Response): Comparison | null {
  if (response.kind === 'mark' && item.question.hands?.kind === 'brush') return brushed(item, response.at[0]);
  const answered = subjectAnswered(item, response);
  if (!answered || !item.subject) return null;
  const shown = item.question.pictures[0]?.look;
  const staging = {
    light: item.question.light,
    seed: shown?.seed ?? item.seed,
    form: shown?.form,
    shine: shown?.shine,
  };
  try {
    return { truth: lookOfSubject(item.subject, staging), answered: lookOfSubject(answered, staging) };
  } catch (error) {
    // A reading can name hair that does not exist, such as a full copper at the palest level.
    if (error instanceof Unfit) return null;
    throw error;
  }
}
