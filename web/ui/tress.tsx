import type { TressLook } from '@cimbel/core/tress';
import { useEffect, useRef } from 'react';
import { paintInWorker } from '../workers/tress-painter';

/** A drawn lock; without a label it is an ornament of something that has one. Sizes are CSS pixels; it is drawn at the screen's own resolution. */
export function Tress({
  look,
  width,
  height,
  label,
  className = '',
}: {
  look: TressLook;
  width: number;
  height: number;
  label: string;
  className?: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const name = JSON.stringify(look);
  useEffect(() => {
    let stale = false;
    const ratio = Math.min(2, window.devicePixelRatio || 1);
    const size = { width: Math.round(width * ratio), height: Math.round(height * ratio) };
    void paintInWorker(JSON.parse(name) as TressLook, size).then((picture) => {
      const target = canvas.current;
      if (stale || !target) return;
      target.width = picture.width;
      target.height = picture.height;
      target.getContext('2d')!.putImageData(new ImageData(picture.data, picture.width, picture.height), 0, 0);
      target.dataset.drawn = 'true';
    });
    return () => {
      stale = true;
    };
  }, [name, width, height]);
  const named = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  return <canvas ref={canvas} {...named} style={{ width, height }} className={className} />;
}
