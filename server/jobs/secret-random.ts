import { createHash } from 'node:crypto';
import type { Random } from '@cimbel/core';

/**
 * Numbers in [0, 1) from a secret, 32 bits each, by SHA-256 in counter mode. Who sees what was drawn learns neither the
 * secret nor the other draws, and cannot try all seeds, as with the generator that draws pictures.
 */
export function secretRandom(secret: string): Random {
  let block = Buffer.alloc(0);
  let counter = 0;
  let at = 0;
  return () => {
    if (at >= block.length) {
      block = createHash('sha256').update(`${secret} ${counter++}`).digest();
      at = 0;
    }
    const number = block.readUInt32BE(at) / 2 ** 32;
    at += 4;
    return number;
  };
}
