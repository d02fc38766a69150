import { doHeavy, type HeavyName } from './heavy';

/** What a worker thread is asked, one message at a time. */
export default ({ name, args }: { name: HeavyName; args: never }) => doHeavy(name, args);
