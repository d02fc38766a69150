import type { HairDrawing } from '../../workers/paint-drawing';

/** Sizes that a set can be printed on. */
export const PAPER_SIZES = ['A4', 'LETTER'] as const;
export type PaperSize = (typeof PAPER_SIZES)[number];

/** Hair drawn in its frame, with what stands under it. */
export interface PaperPicture {
  drawing: HairDrawing;
  label: string;
}

/** A column of a table: its heading, how much of the width it takes beside the others, and whether it holds figures. */
export interface PaperColumn {
  text: string;
  /** Share of the width, relative to the other columns. */
  width: number;
  figures?: boolean;
}

/** A piece of a sheet. Every word is said already; nothing is translated where it is laid out. */
export type PaperBlock =
  | { kind: 'heading'; text: string }
  | { kind: 'text'; text: string; strong?: boolean }
  | { kind: 'facts'; rows: readonly { term: string; value: string }[] }
  /** Pictures, and what stands beside them. */
  | { kind: 'pictures'; pictures: readonly PaperPicture[]; beside: readonly PaperBlock[] }
  | {
      kind: 'table';
      columns: readonly PaperColumn[];
      rows: readonly (readonly string[])[];
      /** Whether it is written into: rows are as high as a hand needs. */
      toFill?: boolean;
    }
  | { kind: 'lines'; label: string; count: number };

/** One person's or one variant's sheet, over as many pages as it takes; it begins on a new one. */
export interface PaperSheet {
  title: string;
  /** Under the title: class, date, whose it is. */
  about: string;
  /** Stands on each of its pages, so that a page that comes loose is known again. */
  mark: string;
  blocks: readonly PaperBlock[];
}

/** A set of sheets in one file. */
export interface Paper {
  /** Title of the file. */
  title: string;
  size: PaperSize;
  /** Whether its language runs from right to left. */
  rightToLeft: boolean;
  sheets: readonly PaperSheet[];
}

/** Size that hair is painted at, pixels: sharp in a frame of 3 cm on paper. */
export const PAINTED = { width: 240, height: 520 } as const;
