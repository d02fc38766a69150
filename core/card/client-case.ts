import { z } from 'zod';
import type { Line } from '../shades';
import type { Salts } from '../theory';
import { headSchema, HEAD_ZONES, type HeadZone } from './head';
import { TOLD } from './record-card';
import { targetSchema, type Target } from './target';

export const SCALPS = ['sound', 'irritated'] as const;
export const DIFFICULTIES = [1, 2, 3] as const;

/** What the client knows and tells when asked; a student who does not ask does not learn it. */
export const historyFactsSchema = z
  .object({
    /** A reaction to colour before: no service until a doctor has said yes (section 13). */
    reaction: z.boolean(),
    scalp: z.enum(SCALPS),
    /** Compound henna or a progressive colour: no oxidative product over it. */
    metallicSalts: z.boolean(),
    /** Plain plant henna: coats and stains, and takes permanent colour unevenly (C8). */
    plainHenna: z.boolean().optional(),
    weeksSinceColour: z.number().int().min(0).max(520).nullable(),
    /** Weeks the client is ready to come back after. */
    upkeepWeeks: z.number().int().min(1).max(52),
    /** What the client says when asked, in the educator's words; a question that is not named brings nothing to light. */
    told: z.partialRecord(z.enum(TOLD), z.string().trim().min(1).max(200)).optional(),
  })
  .strict();
export type HistoryFacts = z.infer<typeof historyFactsSchema>;

/** Which of the two kinds of henna and the like is on the hair, if any (C8). */
export const saltsOf = ({ metallicSalts, plainHenna }: HistoryFacts): Salts =>
  metallicSalts ? 'metallic' : plainHenna ? 'plainHenna' : 'none';

/** A placement asked for beside the wish by zone: strands woven out and taken to a colour of their own (A6). */
export const weaveSchema = z
  .object({
    share: z.number().min(0.1).max(0.7),
    zones: z.array(z.enum(HEAD_ZONES)).min(1),
    target: targetSchema,
  })
  .strict();

/** What of a line is really there today; all of it where a line is not named (D8). */
export const shelfSchema = z.record(
  z.string().min(1).max(60),
  z
    .object({
      /** Strengths that are left, volumes. */
      developersVol: z.array(z.number().min(0).max(40)).min(1).optional(),
      /** Labels of shades that have run out. */
      out: z.array(z.string().min(1).max(20)).max(400).optional(),
    })
    .strict(),
);
export type Shelf = z.infer<typeof shelfSchema>;

/** A whole head, a client, a wish by zone and the lines at hand. */
export const clientCaseSchema = z
  .object({
    title: z.string().trim().min(1).max(80),
    difficulty: z.literal(DIFFICULTIES),
    client: z.object({ name: z.string().trim().min(1).max(60), note: z.string().trim().max(600) }).strict(),
    head: headSchema,
    facts: historyFactsSchema,
    /** Wish by zone; a zone that is not named is to stay as it is. */
    wish: z.partialRecord(z.enum(HEAD_ZONES), targetSchema),
    weave: weaveSchema.optional(),
    /** Lines at hand, by id. */
    lineIds: z.array(z.string().min(1).max(60)).min(1).max(12),
    shelf: shelfSchema.optional(),
  })
  .strict()
  .superRefine(({ head, wish, weave }, context) => {
    const zones = new Set<HeadZone>(head.zones.map(({ zone }) => zone));
    const missing = (path: (string | number)[], zone: string) =>
      context.addIssue({
        code: 'custom',
        path,
        params: { code: 'zoneNotOnHead', zone },
        message: 'zoneNotOnHead',
      });
    for (const zone of Object.keys(wish) as HeadZone[]) if (!zones.has(zone)) missing(['wish', zone], zone);
    weave?.zones.forEach((zone, i) => {
      if (!zones.has(zone)) missing(['weave', 'zones', i], zone);
    });
    if (Object.keys(wish).length === 0 && !weave)
      context.addIssue({ code: 'custom', path: ['wish'], params: { code: 'noWish' }, message: 'noWish' });
  });
export type ClientCase = z.infer<typeof clientCaseSchema>;

/** The lines as they stand on the shelf of a case: strengths and shades that have run out are gone (D8). */
export const onTheShelf = (lines: readonly Line[], { shelf }: Pick<ClientCase, 'shelf'>): Line[] =>
  lines.map((line) => {
    const left = shelf?.[line.id];
    if (!left) return line;
    return {
      ...line,
      developersVol: line.developersVol.filter((vol) => left.developersVol?.includes(vol) ?? true),
      shades: line.shades.filter((label) => !left.out?.includes(label)),
    };
  });

/** Strands that are woven out are judged as a zone of their own, named after the zone they hang in. */
export interface Part {
  zone: HeadZone;
  woven: boolean;
  target: Target | null;
}

/** Every part of the head that is judged by itself: the zones, and the woven strands of those that have some. */
export function partsOf({ head, wish, weave }: Pick<ClientCase, 'head' | 'wish' | 'weave'>): Part[] {
  return head.zones.flatMap(({ zone }): Part[] => {
    const whole: Part = { zone, woven: false, target: wish[zone] ?? null };
    return weave?.zones.includes(zone) ? [whole, { zone, woven: true, target: weave.target }] : [whole];
  });
}
export const partName = ({ zone, woven }: Pick<Part, 'zone' | 'woven'>) => (woven ? `${zone}.woven` : zone);
