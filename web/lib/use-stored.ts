import { useCallback, useEffect, useState } from 'react';
import { forget, keep, readKept } from './storage';

/**
 * What is being filled in, kept on the device until it is sent or given up: leaving the page loses nothing. What an
 * older version of the application kept lacks what has been added since, and gets it from `fresh`.
 */
export function useStored<T extends object>(
  place: string,
  fresh: () => T,
): [T, (value: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => ({ ...fresh(), ...readKept<Partial<T>>(place) }));
  const [touched, setTouched] = useState(false);
  useEffect(() => {
    if (touched) keep(place, value);
  }, [place, value, touched]);
  const set = useCallback((next: T) => {
    setTouched(true);
    setValue(next);
  }, []);
  const drop = useCallback(() => {
    setTouched(false);
    forget(place);
  }, [place]);
  return [value, set, drop];
}
