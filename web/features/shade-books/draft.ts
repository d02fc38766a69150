import { type Problem, problemsOf } from '@cimbel/core/io';
import { TONE_FAMILIES, type ToneFamily } from '@cimbel/core/colour';
import { hasDeveloper, hasShades, type Line, type LineKind } from '@cimbel/core/product';
import type { DirectDye } from '@cimbel/core/hair';

/** A line while it is being entered: what is half written can stand here too. */
export interface LineDraft {
  name: string;
  kind: LineKind;
  separator: string;
  signOf: Partial<Record<ToneFamily, string>>;
  clear: string;
  corrector: string;
  highLiftFrom: number | null;
  labels: string[];
  /** For vivid dyes and fillers, whose shades have names: what each is. */
  dyeOf: Record<string, DirectDye>;
  levelOf: Record<string, number>;
  developers: string;
  ratios: string;
  standard: number | null;
  grey: number | null;
  resistant: number | null;
  active: number | null;
  tubeGrams: number | null;
  mayDilute: boolean;
  mayHeat: boolean;
  /** How high-lift shades are mixed and timed. */
  highLiftRatios: string;
  highLiftMinutes: number | null;
  preWash: NonNullable<Line['preWash']>;
  greyShares: { from: number; natural: number }[];
  timerStarts: Line['timerStarts'];
  additives: { name: string; gramsPer100: number }[];
}

export const FRESH: LineDraft = {
  name: '',
  kind: 'permanent',
  separator: '-',
  signOf: {},
  clear: '',
  corrector: '',
  highLiftFrom: null,
  labels: [],
  dyeOf: {},
  levelOf: {},
  developers: '10, 20, 30, 40',
  ratios: '1, 1.5',
  standard: 35,
  grey: 45,
  resistant: null,
  active: 45,
  tubeGrams: 60,
  mayDilute: false,
  mayHeat: false,
  highLiftRatios: '2',
  highLiftMinutes: 50,
  preWash: 'unwashed',
  greyShares: [],
  timerStarts: 'endOfApplication',
  additives: [],
};

export function draftOf(line: Line): LineDraft {
  const { key } = line;
  const named = Object.entries(key.named ?? {});
  return {
    name: line.name,
    kind: line.kind,
    separator: key.separator,
    signOf: Object.fromEntries(Object.entries(key.signs).map(([sign, family]) => [family, sign])),
    clear: key.clear ?? '',
    corrector: key.corrector ?? '',
    highLiftFrom: key.highLiftFrom ?? null,
    labels: [...line.shades],
    dyeOf: Object.fromEntries(named.flatMap(([label, n]) => (n.series === 'direct' ? [[label, n.dye]] : []))),
    levelOf: Object.fromEntries(
      named.flatMap(([label, n]) => (n.series === 'filler' ? [[label, n.level]] : [])),
    ),
    developers: line.developersVol.join(', '),
    ratios: line.ratios.join(', '),
    standard: line.minutes.standard,
    grey: line.minutes.grey,
    resistant: line.minutes.resistant ?? null,
    active: line.activeMinutes,
    tubeGrams: line.tubeGrams,
    mayDilute: line.mayDilute,
    mayHeat: line.mayHeat ?? false,
    highLiftRatios: (line.highLift?.ratios ?? [2]).join(', '),
    highLiftMinutes: line.highLift?.minutes ?? 50,
    preWash: line.preWash ?? 'unwashed',
    greyShares: [...(line.greyShares ?? [])],
    timerStarts: line.timerStarts,
    additives: [...(line.additives ?? [])],
  };
}

/** Kinds whose directions say how the hair is to come to them, and kinds that cover grey by a table of their own. */
export const lightens = (kind: LineKind) => kind === 'lightenerStrong' || kind === 'lightenerGentle';
export const lineCoversGrey = (kind: LineKind) =>
  kind === 'permanent' || kind === 'express' || kind === 'demi';

/** Figures in a text: commas or semicolons between them. What is no figure becomes NaN and is found by the schema. */
const figures = (text: string): number[] =>
  text
    .split(/[,;\s]+/)
    .filter((part) => part !== '')
    .map(Number);

/** Developer parts to one of colour, written as 1.5 or as 1:1.5; `1 : 1.5` too. */
const ratios = (text: string): number[] => figures(text.replace(/\b1\s*:\s*/g, ''));

/** The line a draft stands for, right or not. */
export function lineOfDraft(draft: LineDraft): Line {
  const { kind } = draft;
  const signs = Object.fromEntries(
    TONE_FAMILIES.flatMap((family) => (draft.signOf[family] ? [[draft.signOf[family], family]] : [])),
  );
  const labels = hasShades(kind) ? draft.labels : [];
  const named =
    kind === 'direct'
      ? Object.fromEntries(
          labels.map((label) => [label, { series: 'direct', dye: draft.dyeOf[label] ?? 'directPink' }]),
        )
      : kind === 'filler'
        ? Object.fromEntries(
            labels.map((label) => [label, { series: 'filler', level: draft.levelOf[label] ?? 6 }]),
          )
        : undefined;
  return {
    id: 'draft',
    version: 1,
    name: draft.name,
    kind,
    key: {
      separator: draft.separator,
      signs,
      ...(draft.clear ? { clear: draft.clear } : {}),
      ...(draft.corrector ? { corrector: draft.corrector } : {}),
      ...(draft.highLiftFrom ? { highLiftFrom: draft.highLiftFrom } : {}),
      ...(named ? { named } : {}),
    } as Line['key'],
    shades: labels,
    developersVol: hasDeveloper(kind) ? figures(draft.developers) : [],
    ratios: hasDeveloper(kind) ? ratios(draft.ratios) : [],
    minutes: {
      standard: draft.standard ?? 0,
      grey: draft.grey ?? draft.standard ?? 0,
      ...(draft.resistant ? { resistant: draft.resistant } : {}),
    },
    activeMinutes: draft.active ?? 0,
    mayDilute: draft.mayDilute,
    mayHeat: draft.mayHeat,
    ...(kind === 'permanent' && draft.highLiftFrom
      ? { highLift: { ratios: ratios(draft.highLiftRatios), minutes: draft.highLiftMinutes ?? 0 } }
      : {}),
    ...(lightens(kind) && draft.preWash === 'washed' ? { preWash: 'washed' as const } : {}),
    ...(lineCoversGrey(kind) && draft.greyShares.length > 0 ? { greyShares: draft.greyShares } : {}),
    timerStarts: draft.timerStarts,
    tubeGrams: draft.tubeGrams ?? 0,
    ...(draft.additives.length > 0 ? { additives: draft.additives } : {}),
  };
}

/** Everything that is still wrong, by place. One sign for two tones is lost in the line itself, so it is looked for here. */
export function draftProblems(draft: LineDraft): Problem[] {
  const used = new Map<string, ToneFamily>();
  const twice: Problem[] = [];
  for (const family of TONE_FAMILIES) {
    const sign = draft.signOf[family];
    if (!sign) continue;
    const other = used.get(sign);
    if (other) twice.push({ code: 'line.signTwice', params: { sign }, path: `key.signs.${sign}` });
    else used.set(sign, family);
  }
  return [...twice, ...problemsOf(lineOfDraft(draft))];
}
