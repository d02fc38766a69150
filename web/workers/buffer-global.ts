import { Buffer } from 'buffer/';

/** The packages that write PDF look for this name, which only Node.js has; it has to be there before they are. */
Object.assign(globalThis, { Buffer });
