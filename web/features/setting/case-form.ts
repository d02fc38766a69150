import {
  HEAD_ZONES,
  clientCaseSchema,
  type HeadZone,
  type ClientCase,
  type ZoneOfHead,
} from '@cimbel/core/card';
import { TYPICAL } from '@cimbel/core/process';

const LENGTHS: Record<HeadZone, number> = { regrowth: 1.5, band: 5, mids: 16, ends: 8 };

export const plainZone = (zone: HeadZone): ZoneOfHead => ({
  zone,
  lengthCm: LENGTHS[zone],
  naturalLevel: 6,
  greyShare: 0,
  porosity: 'normal',
  history: [],
  ...TYPICAL.strong,
});

/** A zone put on the head or taken off it; its wish goes with it, and the order stays root to tip. */
export function withZone(clientCase: ClientCase, zone: HeadZone, on: boolean): ClientCase {
  const zones = HEAD_ZONES.flatMap((name) => {
    const there = clientCase.head.zones.find((one) => one.zone === name);
    if (name !== zone) return there ? [there] : [];
    return on ? [there ?? plainZone(name)] : [];
  });
  if (zones.length === 0) return clientCase;
  const { [zone]: _, ...others } = clientCase.wish;
  const weave = clientCase.weave && {
    ...clientCase.weave,
    zones: clientCase.weave.zones.filter((name) => zones.some((one) => one.zone === name)),
  };
  return {
    ...clientCase,
    head: { ...clientCase.head, zones },
    wish: on ? clientCase.wish : others,
    weave: weave && weave.zones.length > 0 ? weave : undefined,
  };
}

/** First thing that is wrong with a case, as the path of its field; null when nothing is. */
export function firstFault(clientCase: ClientCase): string | null {
  const parsed = clientCaseSchema.safeParse(clientCase);
  return parsed.success ? null : parsed.error.issues[0].path.join('.');
}
