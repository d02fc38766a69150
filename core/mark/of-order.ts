import { reason } from '../reason';
import { finding, type Finding } from './finding';

type Params = Parameters<typeof reason>[2];

/** A finding of order and placement; it is of the head, whatever place it speaks of. */
export const ofOrder = (loss: number, code: string, rule: string, params: Params): Finding =>
  finding(null, loss, reason(`mark.order.${code}`, rule, params));
