import { z } from 'zod';
import { PLACE_IDS, headSchema, type PlaceId, neighboursOf } from '../hair';
import type { Line } from '../product';
import { type Salts, TAKEN_AS } from '../rules';
import { TOLD } from './questions';
import { targetSchema, type Target } from './target';

export const SCALPS = ['sound', 'irritated'] as const;
export const DIFFICULTIES = [1, 2, 3] as const;

/** What the client knows and tells when asked; a student who does not ask does not learn it. */
export const historyFactsSchema = z
  .object({
    /** A reaction to colour before: no service until a doctor has said yes (C3). */
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
export const placementSchema = z
  .object({
    /** Fraction of the hair of its places that is taken. */
    share: z.number().min(0.1).max(0.7),
    zones: z.array(z.enum(PLACE_IDS)).min(1),
    target: targetSchema,
    /** How the hair is to be taken, from the hardest root to the softest; left open where it is left out. */
    taken: z.enum(TAKEN_AS).optional(),
  })
  .strict();
export type PlacementWish = z.infer<typeof placementSchema>;
/** Where two colours that meet on a strand are to flow into one another, over so many centimetres (F10, A7). */
export const meltSchema = z
  .object({ zones: z.array(z.enum(PLACE_IDS)).length(2), overCm: z.number().positive().max(30) })
  .strict();

/** Most placements a case asks for. */
export const MOST_PLACEMENTS = 4;

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
    wish: z.partialRecord(z.enum(PLACE_IDS), targetSchema),
    placements: z.array(placementSchema).min(1).max(MOST_PLACEMENTS).optional(),
    /** Where neighbouring places are to melt; where none is named, they may meet in a line. */
    melts: z.array(meltSchema).min(1).max(8).optional(),
    /** Lines at hand, by id. */
    lineIds: z.array(z.string().min(1).max(60)).min(1).max(12),
    shelf: shelfSchema.optional(),
    /** Whether making client and place ready is part of the exercise (C3). */
    station: z.boolean().optional(),
    /** Whether the client is told a price and a time, reckoned by the price list of the class (C11). */
    quote: z.boolean().optional(),
  })
  .strict()
  .superRefine(({ head, wish, placements = [], melts = [] }, context) => {
    const zones = new Set<PlaceId>(head.zones.map(({ zone }) => zone));
    const missing = (path: (string | number)[], zone: string) =>
      context.addIssue({
        code: 'custom',
        path,
        params: { code: 'zoneNotOnHead', zone },
        message: 'zoneNotOnHead',
      });
    for (const zone of Object.keys(wish) as PlaceId[]) if (!zones.has(zone)) missing(['wish', zone], zone);
    melts.forEach(({ zones: [above, below] }, i) => {
      const path = ['melts', i, 'zones'];
      if (!zones.has(above) || !zones.has(below)) missing(path, zones.has(above) ? below : above);
      else if (!neighboursOf(head, above).includes(below))
        context.addIssue({ code: 'custom', path, params: { code: 'notBeside' }, message: 'notBeside' });
    });
    const taken = new Set<PlaceId>();
    placements.forEach((placement, at) =>
      placement.zones.forEach((zone, i) => {
        const path = ['placements', at, 'zones', i];
        if (!zones.has(zone)) missing(path, zone);
        if (taken.has(zone))
          context.addIssue({
            code: 'custom',
            path,
            params: { code: 'placedTwice', zone },
            message: 'placedTwice',
          });
        taken.add(zone);
      }),
    );
    if (Object.keys(wish).length === 0 && placements.length === 0)
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
  /** The place, by its id. */
  zone: PlaceId;
  /** Whether these are the strands woven out of the place. */
  woven: boolean;
  /** Level and tone wished for; null where it is to stay. */
  target: Target | null;
}

/** What of a case says which parts its head has. */
export type HeadAndWish = Pick<ClientCase, 'head' | 'wish' | 'placements'>;

/** The placement asked for on a place, if any. */
export const placementOn = (
  { placements = [] }: Pick<ClientCase, 'placements'>,
  place: PlaceId,
): PlacementWish | undefined => placements.find(({ zones }) => zones.includes(place));

/** Fraction of the hair of its place that a part is. */
export function shareOfPart(clientCase: Pick<ClientCase, 'placements'>, { zone, woven }: Part): number {
  const placed = placementOn(clientCase, zone)?.share ?? 0;
  return woven ? placed : 1 - placed;
}

/** Every part of the head that is judged by itself: the zones, and the woven strands of those that have some. */
export function partsOf(clientCase: HeadAndWish): Part[] {
  return clientCase.head.zones.flatMap(({ zone }): Part[] => {
    const whole: Part = { zone, woven: false, target: clientCase.wish[zone] ?? null };
    const placement = placementOn(clientCase, zone);
    return placement ? [whole, { zone, woven: true, target: placement.target }] : [whole];
  });
}
/** Name of a part: its place, or the place and `woven`. */
export const partName = ({ zone, woven }: Pick<Part, 'zone' | 'woven'>) => (woven ? `${zone}.woven` : zone);
