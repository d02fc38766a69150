import type { TressLook } from '../tress';
import type { Item, Response } from './item';
import { lookOfSubject, type Subject } from './subject';
import { Unfit } from './draw';

function subjectAnswered({ subject, reads, optionSubjects }: Item, response: Response): Subject | null {
  if (response.kind === 'choice') return optionSubjects?.[response.index] ?? null;
  if (response.kind !== 'figure' || !subject || !reads) return null;
  return reads === 'level' ? { ...subject, level: response.value } : { ...subject, white: response.value };
}

export interface Comparison {
  truth: TressLook;
  answered: TressLook;
}

/** The true hair and the hair of what was answered, drawn alike; null where an answer is no hair. */
export function comparisonOf(item: Item, response: Response): Comparison | null {
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
