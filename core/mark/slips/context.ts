import { type RecordCard, type Bowl, type Application, colourGrams, developerGrams } from '../../card';
import { type Line, hasShades, readLabel, writeLabel } from '../../product';
import type { ModelAnswer } from '../../solve';

/** What a slip is made from: the right plan, and the lines at hand. */
export interface SlipContext {
  /** The right plan. */
  card: RecordCard;
  /** The model answer. */
  modelAnswer: ModelAnswer;
  /** Lines of colour at hand, as they were when it was set. */
  lines: readonly Line[];
}
export type SlipMaker = (context: SlipContext) => RecordCard | null;

/** Grams to the tenth. */
export const tenth = (grams: number) => Math.round(grams * 10) / 10;
/** The line of a bowl among those at hand. */
export const lineOf = ({ lines }: SlipContext, { lineId }: Bowl) => lines.find(({ id }) => id === lineId);
/** Lines at hand of some kinds. */
export const ofKind = ({ lines, modelAnswer }: SlipContext, ...kinds: Line['kind'][]) =>
  lines.find(({ id, kind }) => kinds.includes(kind) && modelAnswer.clientCase.lineIds.includes(id)) ??
  lines.find(({ kind }) => kinds.includes(kind));

/** The card with one bowl changed. */
export const withBowl = (card: RecordCard, name: string, change: (bowl: Bowl) => Bowl): RecordCard => ({
  ...card,
  bowls: card.bowls.map((bowl) => (bowl.name === name ? change(bowl) : bowl)),
});
/** The card with its applications changed one by one. */
export const withSteps = (
  card: RecordCard,
  change: (application: Application) => Application,
): RecordCard => ({
  ...card,
  steps: card.steps.map(change),
});

/** First bowl for which something holds. */
export const bowlWhere = (
  context: SlipContext,
  test: (line: Line, bowl: Bowl) => boolean,
): Bowl | undefined =>
  context.card.bowls.find((bowl) => {
    const line = lineOf(context, bowl);
    return line !== undefined && test(line, bowl);
  });

/** The bowl with another strength, volumes. */
export const toVol = (bowl: Bowl, vol: number): Bowl => ({
  ...bowl,
  developer: [{ vol, grams: tenth(bowl.developer.reduce((sum, { grams }) => sum + grams, 0)) }],
});

/** The same bowl made of another line: one shade of its level and tone, its own ratio, one strength. */
export function ofLine(bowl: Bowl, from: Line, to: Line, vol: number): Bowl | null {
  const [first] = bowl.shades;
  const reading = first ? readLabel(from, first.label) : null;
  const total = colourGrams(bowl) + developerGrams(bowl);
  const ratio = to.ratios[0] ?? 0;
  const colour = total / (1 + ratio);
  const developer = [{ vol, grams: tenth(total - colour) }];
  if (!hasShades(to.kind))
    return { ...bowl, lineId: to.id, shades: [], productGrams: tenth(colour), developer };
  if (!reading?.ok || reading.shade.level === null) return null;
  const label = writeLabel(to, reading.shade.level, reading.shade.tone);
  if (!label || !to.shades.includes(label)) return null;
  return { ...bowl, lineId: to.id, shades: [{ label, grams: tenth(colour) }], productGrams: 0, developer };
}

/** The same bowl with other levels of the same tones, where the line has them. */
export function shifted(bowl: Bowl, line: Line, levels: number): Bowl | null {
  const shades = bowl.shades.map(({ label, grams }) => {
    const reading = readLabel(line, label);
    if (!reading.ok || reading.shade.level === null) return { label, grams };
    const written = writeLabel(line, reading.shade.level + levels, reading.shade.tone);
    return written && line.shades.includes(written) ? { label: written, grams } : null;
  });
  return shades.some((shade) => shade === null) ? null : { ...bowl, shades: shades as Bowl['shades'] };
}
