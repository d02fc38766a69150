import type { TressPixels } from '@cimbel/core/draw';
import { useEffect, useRef, type CSSProperties } from 'react';
import { paintInWorker } from '../workers/tress-painter';
import type { HairDrawing } from '../workers/paint-drawing';

/**
 * Hair drawn in the worker, at the screen's own resolution for a size in CSS pixels; without a label it is an ornament of
 * something that has one. The same drawing is the same picture, and is not drawn again.
 */
export function DrawnHair({
  drawing,
  width,
  height,
  label,
  className = '',
  style,
}: {
  drawing: HairDrawing;
  width: number;
  height: number;
  label: string;
  className?: string;
  style?: CSSProperties;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const name = JSON.stringify(drawing);
  const queue = useRef<{ busy: boolean; next: (() => void) | null }>({ busy: false, next: null });
  useEffect(() => {
    const line = queue.current;
    const ratio = Math.min(2, window.devicePixelRatio || 1);
    const size = { width: Math.round(width * ratio), height: Math.round(height * ratio) };
    const paint = () => {
      line.busy = true;
      const draw = (picture: TressPixels) => {
        const target = canvas.current;
        if (target) {
          target.width = picture.width;
          target.height = picture.height;
          target
            .getContext('2d')!
            .putImageData(new ImageData(picture.data, picture.width, picture.height), 0, 0);
          target.dataset.drawn = 'true';
        }
      };
      const goOn = () => {
        line.busy = false;
        const next = line.next;
        line.next = null;
        next?.();
      };
      // A picture that failed stays empty; whatever is asked for next is drawn all the same.
      paintInWorker(JSON.parse(name) as HairDrawing, size)
        .then(draw)
        .then(goOn, goOn);
    };
    // While one is being painted only the newest wish waits: a slider that is dragged never builds a queue.
    if (line.busy) line.next = paint;
    else paint();
  }, [name, width, height]);
  const named = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  return <canvas ref={canvas} {...named} style={style} className={className} />;
}
