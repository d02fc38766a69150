import type { ClientCase } from '@cimbel/core/card';
import { previewOf } from '@cimbel/core/mark';
import type { Line } from '@cimbel/core/shades';
import type { HouseRules } from '@cimbel/core/theory';

export interface PreviewAsked {
  clientCase: ClientCase;
  lines: Line[];
  rules: HouseRules;
}

self.onmessage = ({ data }: MessageEvent<PreviewAsked>) => {
  self.postMessage(previewOf(data.clientCase, data.lines, data.rules));
};
