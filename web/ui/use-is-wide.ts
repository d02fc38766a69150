import { useSyncExternalStore } from 'react';

const query = () => window.matchMedia('(min-width: 68rem)');

/** True from the width at which the strand and the work stand side by side. */
export const useIsWide = () =>
  useSyncExternalStore(
    (changed) => {
      const media = query();
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    () => query().matches,
    // Where nothing is laid out it is narrow.
    () => false,
  );
