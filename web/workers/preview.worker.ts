import type { ClientCase } from '@cimbel/core/case';
import { previewOf } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/product';
import type { HouseRules } from '@cimbel/core/rules';

export interface PreviewAsked {
  clientCase: ClientCase;
  lines: Line[];
  rules: HouseRules;
}

self.onmessage = ({ data }: MessageEvent<PreviewAsked>) => {
  self.postMessage(previewOf(data.clientCase, data.lines, data.rules));
};
