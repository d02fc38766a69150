import { PRESETS, PRESET_NAMES } from '@cimbel/core/simulate';
import fc from 'fast-check';
import { fromLink, toLink } from './lab-link';

describe('a laboratory as a link', () => {
  it.each(PRESET_NAMES)('%s comes back as it was, in signs an address may hold', (name) => {
    expect(toLink(PRESETS[name])).toMatch(/^[\w-]+$/);
    expect(fromLink(toLink(PRESETS[name]))).toEqual(PRESETS[name]);
  });
  it('anything else is nothing, never an error', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(fromLink(text)).toBeNull()));
    expect(fromLink(btoa(JSON.stringify({ ...PRESETS.hotRoot, minute: 5000 })))).toBeNull();
  });
});
