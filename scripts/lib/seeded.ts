/**
 * Property tests of a push draw the same examples every time, so that its result speaks of the push;
 * `npm run test:long` draws new ones.
 */
import { configureGlobal } from 'fast-check';

if (!process.env.LONG_TESTS) configureGlobal({ seed: 1126 });
