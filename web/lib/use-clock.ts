import { useEffect, useState } from 'react';

export interface Clock {
  /** Null while nobody has looked at it or let it run. */
  minute: number | null;
  running: boolean;
}

/** A clock up to the last minute. While it runs, a minute passes every so many seconds. */
export function useClock(last: number, secondsAMinute: number) {
  const [clock, setClock] = useState<Clock>({ minute: null, running: false });
  const { running } = clock;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(
      () =>
        setClock((now) => {
          const minute = Math.min(last, (now.minute ?? 0) + 1);
          return { minute, running: minute < last };
        }),
      secondsAMinute * 1000,
    );
    return () => clearInterval(timer);
  }, [running, secondsAMinute, last]);
  return { clock, setClock };
}
