import bench from '../../locales/en/bench.json';
import { addWords } from '../i18n';

/** The bench and what comes of it: cards, clock, head, marks. */
export const BENCH = bench;
addWords('ui', { bench });
