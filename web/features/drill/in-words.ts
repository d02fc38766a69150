import { useState } from 'react';
import { keep, readKept } from '../../lib/storage';

const PLACE = 'cimbel.drillsInWords';

/** Whether questions that hands would answer are asked in words instead: a choice of this device. */
export function useInWords(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => readKept<boolean>(PLACE) ?? false);
  return [
    on,
    (next) => {
      keep(PLACE, next);
      setOn(next);
    },
  ];
}
