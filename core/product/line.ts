import { z } from 'zod';
import { TONE_FAMILIES } from '../colour';
import { DIRECT_DYES } from '../hair';

/** What kind of product a line is decides whether it lifts, covers grey, takes colour out (P1). */
export const LINE_KINDS = [
  'permanent',
  'express',
  'demi',
  'acidGloss',
  'direct',
  'lightenerStrong',
  'lightenerGentle',
  'remover',
  'filler',
] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** Kinds that a mix of shades and developer is formulated with. */
export const FORMULA_KINDS: readonly LineKind[] = ['permanent', 'express', 'demi', 'acidGloss'];
/** Kinds that come without shades. */
const PLAIN_KINDS: readonly LineKind[] = ['lightenerStrong', 'lightenerGentle', 'remover'];
/** Kinds that are used as they are, without developer. */
const READY_KINDS: readonly LineKind[] = ['direct', 'filler'];
/** Whether a kind of line has shades. */
export const hasShades = (kind: LineKind) => !PLAIN_KINDS.includes(kind);
/** Whether a kind of line is mixed with a developer. */
export const hasDeveloper = (kind: LineKind) => !READY_KINDS.includes(kind);

/** A shade that has a name instead of a label in the key: a ready-made dye, or a filler for a level. */
export const namedShadeSchema = z.discriminatedUnion('series', [
  z.object({ series: z.literal('direct'), dye: z.enum(DIRECT_DYES) }),
  z.object({ series: z.literal('filler'), level: z.number().int().min(1).max(10) }),
]);

const minutes = z.number().positive().max(240);
const share = z.number().min(0).max(1);

const bareLineSchema = z
  .object({
    id: z.string().min(1),
    version: z.number().int().positive(),
    name: z.string().trim().min(1).max(60),
    kind: z.enum(LINE_KINDS),
    key: z.object({
      /** One character between level and signs, or nothing: 7N, 65. */
      separator: z.string().max(1),
      /** sign → family. One character each; a doubled sign is the intense version, a doubled neutral extra pigment. */
      signs: z.record(z.string().length(1), z.enum(TONE_FAMILIES)),
      /** Label of the shade without pigment, when the line has one. */
      clear: z.string().max(20).optional(),
      /** What stands in the place of the level on a corrector: pure tone, without depth. */
      corrector: z.string().min(1).max(3).optional(),
      /** From this level on a shade is high-lift. */
      highLiftFrom: z.number().int().min(9).max(12).optional(),
      named: z.record(z.string().min(1).max(20), namedShadeSchema).optional(),
    }),
    shades: z.array(z.string().min(1).max(20)).max(400),
    /**
     * Strengths sold with the line, in volumes; for a demi line its own processing liquids. A remover is a reducing agent
     * and its liquid has none: 0.
     */
    developersVol: z.array(z.number().min(0).max(40)),
    /** Developer parts to one part of colour that the directions allow; the first is the standard. */
    ratios: z.array(z.number().positive().max(4)),
    minutes: z.object({ standard: minutes, grey: minutes, resistant: minutes.optional() }),
    /** How high-lift shades are mixed and timed, where the line has some. */
    highLift: z.object({ ratios: z.array(z.number().positive().max(4)).min(1), minutes }).optional(),
    /**
     * The maker's own share of the natural series over grey: from so much white hair on, so much of the mix. Where the
     * directions say nothing, the class's table holds (F8).
     */
    greyShares: z
      .array(z.object({ from: share, natural: share }).strict())
      .min(1)
      .max(6)
      .optional(),
    activeMinutes: minutes,
    mayDilute: z.boolean(),
    /** How the directions want the hair to come to it, where they say so. */
    preWash: z.enum(['unwashed', 'washed']).optional(),
    /** Whether the directions allow added warmth. */
    mayHeat: z.boolean().optional(),
    timerStarts: z.enum(['endOfApplication', 'firstContact']),
    tubeGrams: z.number().positive().max(2000),
    /** What may be added: a bond protector, so many grams to a hundred of the mix. */
    additives: z
      .array(z.object({ name: z.string().trim().min(1).max(40), gramsPer100: z.number().positive().max(30) }))
      .max(6)
      .optional(),
  })
  .strict();

/**
 * A line of colour as its maker would print it: the key to its signs, its shades by label, its developers or
 * processing liquids, ratios and times. Everything that differs between makers is here, nothing is assumed (T2).
 * Errors name where they are; the codes are worded by the interface.
 */
export const lineSchema = bareLineSchema.superRefine((line, context) => {
  const problem = (path: (string | number)[], code: string, params: object = {}) =>
    context.addIssue({ code: 'custom', path, params: { code, ...params }, message: code });
  const families = Object.entries(line.key.signs);
  families.forEach(([sign, family], i) => {
    const before = families.slice(0, i).find(([, other]) => other === family);
    // A label to be written could otherwise be written in two ways.
    if (before) problem(['key', 'signs', sign], 'familyTwice', { sign: before[0], family });
    if (sign === line.key.separator) problem(['key', 'separator'], 'separatorIsSign', { sign });
  });
  if (/\d/.test(line.key.separator)) problem(['key', 'separator'], 'separatorIsDigit');
  if (hasShades(line.kind) && line.shades.length === 0) problem(['shades'], 'noShades');
  if (!hasShades(line.kind) && line.shades.length > 0) problem(['shades'], 'shadesNotHere');
  if (hasDeveloper(line.kind) && line.developersVol.length === 0) problem(['developersVol'], 'noDeveloper');
  if (hasDeveloper(line.kind) && line.ratios.length === 0) problem(['ratios'], 'noRatio');
  line.developersVol.forEach((vol, i) => {
    if (line.kind === 'remover' && vol > 0) problem(['developersVol', i], 'removerPeroxide');
    if (line.kind !== 'remover' && vol === 0) problem(['developersVol', i], 'noStrength');
  });
  line.greyShares?.forEach(({ from }, i, all) => {
    if (i > 0 && from <= all[i - 1].from) problem(['greyShares', i, 'from'], 'greySharesRise');
  });
  const seen = new Map<string, number>();
  line.shades.forEach((label, i) => {
    const first = seen.get(label);
    if (first !== undefined) problem(['shades', i], 'labelTwice', { label, row: first + 1 });
    else seen.set(label, i);
  });
});
export type Line = z.infer<typeof lineSchema>;
