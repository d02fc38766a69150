import { naturalLook } from '@cimbel/core/draw';
import { useTranslation } from 'react-i18next';
import { Tress } from '../../ui/tress';

const LEVELS = [3, 4, 5, 6, 7, 8, 9];
const hanging = (naturalLevel: number) =>
  naturalLook({ naturalLevel, greyShare: 0, porosity: 'low', diameter: 'medium' }, 11 * naturalLevel);

/** Locks in a row, dark to light: the thing all of this is about. */
export default function HangingRow() {
  const { t } = useTranslation();
  return (
    <figure className="bg-surround relative flex h-[640px] flex-1 items-start justify-center gap-2 overflow-hidden rounded-sm px-4 max-wide:hidden">
      {LEVELS.map((level) => (
        <Tress
          key={level}
          look={hanging(level)}
          width={84}
          height={560}
          label={t('signIn.hanger')}
          className="mt-2"
        />
      ))}
    </figure>
  );
}
