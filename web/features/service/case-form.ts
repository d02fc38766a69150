import {
  HEAD_ZONES,
  serviceCaseSchema,
  type HeadZone,
  type ServiceCase,
  type ZoneOfHead,
} from '@cimbel/core/plan';
import { TYPICAL } from '@cimbel/core/process';

const LENGTHS: Record<HeadZone, number> = { regrowth: 1.5, band: 5, mids: 16, ends: 8 };

export const plainZone = (zone: HeadZone): ZoneOfHead => ({
  zone,
  lengthCm: LENGTHS[zone],
  naturalLevel: 6,
  greyShare: 0,
  porosity: 'normal',
  history: { kind: 'untouched' },
  ...TYPICAL.strong,
});

/** A zone put on the head or taken off it; its wish goes with it, and the order stays root to tip. */
export function withZone(kase: ServiceCase, zone: HeadZone, on: boolean): ServiceCase {
  const zones = HEAD_ZONES.flatMap((name) => {
    const there = kase.head.zones.find((one) => one.zone === name);
    if (name !== zone) return there ? [there] : [];
    return on ? [there ?? plainZone(name)] : [];
  });
  if (zones.length === 0) return kase;
  const { [zone]: _, ...others } = kase.wish;
  const weave = kase.weave && {
    ...kase.weave,
    zones: kase.weave.zones.filter((name) => zones.some((one) => one.zone === name)),
  };
  return {
    ...kase,
    head: { ...kase.head, zones },
    wish: on ? kase.wish : others,
    weave: weave && weave.zones.length > 0 ? weave : undefined,
  };
}

/** Another history for a zone, with the figures it needs. */
export function withHistory(zone: ZoneOfHead, kind: ZoneOfHead['history']['kind']): ZoneOfHead {
  const level = zone.history.kind === 'untouched' ? zone.naturalLevel : zone.history.level;
  switch (kind) {
    case 'untouched':
      return { ...zone, history: { kind } };
    case 'coloured':
      return { ...zone, history: { kind, level, tone: { primary: 'neutral' }, faded: 0 } };
    case 'lightened':
      return { ...zone, history: { kind, level: Math.max(level, Math.min(10, zone.naturalLevel + 2)) } };
    case 'vivid':
      return { ...zone, history: { kind, level: 9, dye: 'directPink', faded: 0.3 } };
  }
}

/** First thing that is wrong with a case, as the path of its field; null when nothing is. */
export function firstFault(kase: ServiceCase): string | null {
  const parsed = serviceCaseSchema.safeParse(kase);
  return parsed.success ? null : parsed.error.issues[0].path.join('.');
}
