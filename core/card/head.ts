import { z } from 'zod';
import {
  DENSITIES,
  DIAMETERS,
  POROSITIES,
  APPLICATION_AREAS,
  naturalLevelSchema,
  shareSchema,
} from '../hair';
import { pastLayerSchema } from '../process';
import { HAIR_FORMS } from '../tress';

/** Zones of a head from the scalp to the tips; a head has those that differ (handbook section 1, Read). */
export const HEAD_ZONES = ['regrowth', 'band', 'mids', 'ends'] as const;
export type HeadZone = (typeof HEAD_ZONES)[number];

/** Most layers of history that a zone can have. */
export const MOST_LAYERS = 12;

export const zoneOfHeadSchema = z
  .object({
    zone: z.enum(HEAD_ZONES),
    lengthCm: z.number().positive().max(80),
    naturalLevel: naturalLevelSchema,
    greyShare: shareSchema,
    /** White strands that take dye badly: glassy, closed (F8). Ordinary when left out. */
    resistant: z.boolean().optional(),
    porosity: z.enum(POROSITIES),
    /** What was done to it, oldest first; the hair model lays it down. Empty where it was never coloured. */
    history: z.array(pastLayerSchema).max(MOST_LAYERS),
    /** 0 sound to 1 lost; what the stretch test shows comes from it. */
    damage: z.number().min(0).max(1),
    /** Water the hair holds, 0 brittle to 1 over-soft; by the damage when left out. */
    moisture: z.number().min(0).max(1).optional(),
  })
  .strict();
export type ZoneOfHead = z.infer<typeof zoneOfHeadSchema>;

export const headSchema = z
  .object({
    zones: z.array(zoneOfHeadSchema).min(1).max(HEAD_ZONES.length),
    diameter: z.enum(DIAMETERS),
    density: z.enum(DENSITIES),
    /** Length of the hair, for the guide of amounts (M2). */
    length: z.enum(APPLICATION_AREAS),
    form: z.enum(HAIR_FORMS),
  })
  .strict()
  .superRefine(({ zones }, context) => {
    zones.forEach(({ zone }, i) => {
      const before = i > 0 ? HEAD_ZONES.indexOf(zones[i - 1].zone) : -1;
      if (HEAD_ZONES.indexOf(zone) <= before)
        context.addIssue({
          code: 'custom',
          path: ['zones', i, 'zone'],
          params: { code: 'zonesInOrder' },
          message: 'zonesInOrder',
        });
    });
  });
export type Head = z.infer<typeof headSchema>;

export const zoneOf = (head: Head, zone: HeadZone): ZoneOfHead | undefined =>
  head.zones.find((one) => one.zone === zone);

/** Centimetres of the middle of a zone from the scalp. */
export function fromScalpCm(head: Head, zone: HeadZone): number {
  let cm = 0;
  for (const one of head.zones) {
    if (one.zone === zone) return cm + one.lengthCm / 2;
    cm += one.lengthCm;
  }
  throw new RangeError(`the head has no zone ${zone}`);
}

/** Where a zone lies on the hair as it is drawn. */
export interface Stretch {
  zone: HeadZone;
  lengthCm: number;
  /** From which share of the drawn length (0 the root) to which (1 the end). */
  from: number;
  to: number;
}

/** Where each zone lies along the lock, 0 at the root to 1 at the tip. A short zone is drawn long enough to be seen. */
export function stretchesOf(head: Head): Stretch[] {
  const LEAST = 0.16;
  const total = head.zones.reduce((sum, { lengthCm }) => sum + lengthCm, 0);
  const shown = head.zones.map(({ lengthCm }) => Math.max(LEAST, lengthCm / total));
  const all = shown.reduce((sum, share) => sum + share, 0);
  let at = 0;
  return head.zones.map(({ zone, lengthCm }, i) => {
    const from = at;
    at += shown[i] / all;
    return { zone, lengthCm, from, to: i === head.zones.length - 1 ? 1 : at };
  });
}
