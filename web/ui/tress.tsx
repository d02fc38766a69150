import type { TressLook } from '@cimbel/core/draw';
import { memo } from 'react';
import { DrawnHair } from './drawn-hair';

/**
 * A drawn lock, of a size in CSS pixels; without a label it is an ornament of something that has one. The same look is not
 * even looked at again.
 */
export const Tress = memo(function Tress({
  look,
  width,
  height,
  label,
  className,
}: {
  look: TressLook;
  width: number;
  height: number;
  label: string;
  className?: string;
}) {
  return (
    <DrawnHair
      drawing={{ kind: 'lock', look }}
      width={width}
      height={height}
      label={label}
      className={className}
      style={{ width, height }}
    />
  );
});
