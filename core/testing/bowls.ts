import type { ToneFamily, Tone } from '../colour';
import type { Strand } from '../hair';
import { type ProductKind, type Mix, type Coat, strandUnder } from '../process';
import { type ShadePart, shippedLine, readLabel } from '../product';

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

/** A shade of any level and tone, whether or not a line has it. */
export function anyShade(level: number, primary: ToneFamily, secondary?: ToneFamily): ShadePart {
  const tone: Tone = secondary ? { primary, secondary } : { primary };
  return {
    shade: { label: '', series: primary === 'neutral' ? 'natural' : 'fashion', level, tone },
    parts: 1,
  };
}

export const permanent = (words: string, developerVol: number, product: ProductKind = 'permanent'): Mix => ({
  product,
  shades: words === 'clear' ? shades('quillet', 'Glass') : shades('tarnwick', words),
  developerVol,
  ratio: 1.5,
});
export const tonerMix = (words: string): Mix => ({
  product: 'demi',
  shades: shades('quillet', words),
  developerVol: 7,
  ratio: 2,
});
export const powder = (developerVol: number, product: ProductKind = 'lightenerStrong'): Mix => ({
  product,
  shades: [],
  developerVol,
  ratio: 2,
});
export const gentlePowder = (developerVol: number): Mix => powder(developerVol, 'lightenerGentle');
export const remover: Mix = { product: 'remover', shades: [], developerVol: 0, ratio: 1 };
/** Wet cleanse (P8): gentle powder, 10 vol, conditioner, on wet hair. */
export const cleanse: Coat = { mix: { ...gentlePowder(10), conditioner: true }, wet: true };

/** The strand after a mix has lain on it for so many minutes at room warmth. */
export const after = (mix: Mix | Coat, strand: Strand, minutes: number) =>
  strandUnder('mix' in mix ? mix : { mix }, strand, minutes);
