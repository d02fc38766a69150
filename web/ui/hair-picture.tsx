import type { TressLook } from '@cimbel/core/draw';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Tress } from './tress';

/** Hair to be looked at: drawn here, or, where it is to be read, drawn by the server so that no figure comes with it. */
export type PictureSource = { look: TressLook } | { src: string };

const AGAIN_AFTER_MS = 2000;

/** A picture from the server that keeps trying while the connection is away. */
function SentPicture({
  src,
  width,
  height,
  label,
}: {
  src: string;
  width: number;
  height: number;
  label: string;
}) {
  const { t } = useTranslation();
  const [tries, setTries] = useState(0);
  const [missing, setMissing] = useState(false);
  return (
    <span className="relative inline-block align-top" style={{ width, height }}>
      <img
        key={tries}
        src={tries === 0 ? src : `${src}&again=${tries}`}
        alt={label}
        width={width}
        height={height}
        draggable={false}
        onLoad={() => setMissing(false)}
        onError={() => {
          setMissing(true);
          setTimeout(() => setTries((count) => count + 1), AGAIN_AFTER_MS);
        }}
      />
      {missing ? (
        <span role="status" className="absolute inset-0 flex items-center justify-center text-center text-sm">
          {t('state.pictureMissing')}
        </span>
      ) : null}
    </span>
  );
}

/** A picture at an address, for the screen it is shown on. */
export const onThisScreen = (src: string) => `${src}&ratio=${window.devicePixelRatio > 1 ? 2 : 1}`;

export function HairPicture({
  hair,
  width,
  height,
  label,
}: {
  hair: PictureSource;
  width: number;
  height: number;
  label: string;
}) {
  if ('look' in hair) return <Tress look={hair.look} width={width} height={height} label={label} />;
  return <SentPicture key={hair.src} src={hair.src} width={width} height={height} label={label} />;
}
