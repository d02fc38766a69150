import { type ClientCase, lookOfWish, looksThrough } from '@cimbel/core/case';
import type { ZoneOfHead } from '@cimbel/core/hair';
import type { TressLook } from '@cimbel/core/draw';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { placeWord } from '../../lib/i18n';
import { HairPicture } from '../../ui/hair-picture';
import '../../lib/words/educating';

const SIZE = { width: 52, height: 104 };
const SEED = 17;

/** The hair of a place as it grew, after each thing that was done to it, as it is today, and as it is wished for. */
export function PlacePictures({ clientCase, zone }: { clientCase: ClientCase; zone: ZoneOfHead }) {
  const { t } = useTranslation();
  const { head } = clientCase;
  const wish = clientCase.wish[zone.zone];
  const looks = useMemo(() => looksThrough({ head }, zone.zone, 'daylight', SEED), [head, zone.zone]);
  const today = looks.length - 1;
  const pictures: { name: string; look: TressLook }[] = [
    ...looks.map((look, layers) => ({
      name: t(layers === today ? 'set.today' : layers === 0 ? 'set.asGrown' : 'set.afterLayer', {
        count: layers,
      }),
      look,
    })),
    ...(wish ? [{ name: t('set.wished'), look: lookOfWish(wish, looks[today]) }] : []),
  ];
  return (
    <ol className="bg-surround text-on-surround col-span-2 flex flex-wrap gap-2 rounded-sm p-2 sm:col-span-4">
      {pictures.map(({ name, look }) => (
        <li key={name} className="flex w-20 flex-col items-center text-center text-sm">
          <HairPicture hair={{ look }} {...SIZE} label={`${placeWord(t, zone.zone)}: ${name}`} />
          {name}
        </li>
      ))}
    </ol>
  );
}
