import {
  paintHead,
  paintTress,
  type HeadLook,
  type TressLook,
  type TressPixels,
  type TressSize,
} from '@cimbel/core/draw';
import { headOf, type View } from '../features/head/sheet-views';

/** Hair to be drawn: a lock, or that of a head in one of its drawings. */
export type HairDrawing = { kind: 'lock'; look: TressLook } | { kind: 'head'; view: View; look: HeadLook };

export const paintDrawing = (drawing: HairDrawing, size: TressSize): TressPixels =>
  drawing.kind === 'lock'
    ? paintTress(drawing.look, size)
    : paintHead(headOf(drawing.view), drawing.look, size);
