import type { Strand } from '../hair';
import { apply, strandAfter, workedMinutes, type Mix, type ProductKind } from '../process';
import { readLabel, shippedLine, type ShadePart } from '../shades';

/** Shades of a shipped line by label, `5:0 5:1` or with parts, `9-U*3 Glass`. */
export function shades(lineId: string, words: string): ShadePart[] {
  const line = shippedLine(lineId)!;
  return words.split(' ').map((word) => {
    const [label, parts = '1'] = word.split('*');
    const reading = readLabel(line, label);
    if (!reading.ok) throw new Error(`${lineId} has no ${label}`);
    return { shade: reading.shade, parts: Number(parts) };
  });
}

export const permanent = (words: string, developerVol: number, product: ProductKind = 'permanent'): Mix => ({
  product,
  shades: words === 'clear' ? shades('quillet', 'Glass') : shades('tarnwick', words),
  developerVol,
  ratio: 1.5,
});
export const toner = (words: string): Mix => ({
  product: 'demi',
  shades: shades('quillet', words),
  developerVol: 7,
  ratio: 2,
});
export const powder = (developerVol: number): Mix => ({
  product: 'lightenerStrong',
  shades: [],
  developerVol,
  ratio: 2,
});

/** The strand after a mix has lain on it for so many minutes at room warmth. */
export const after = (mix: Mix, strand: Strand, minutes: number) =>
  strandAfter(apply(mix, strand), workedMinutes(mix, minutes));
