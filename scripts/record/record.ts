import { writeFileSync } from 'node:fs';
import { recorded } from '../../core/testing/recorded';

/** Writes down what the search and the marks say today; run after changing them on purpose, with the version raised. */
writeFileSync('core/mark/tests/recorded.txt', `${recorded().join('\n')}\n`);
