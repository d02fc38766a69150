import { CloudOff } from 'lucide-react';
import { useEffect, useState } from 'react';

/** An answer is with the server in less, where there is a connection: nothing is said of that. */
const SAID_AFTER_MS = 2000;

/**
 * Answers that are still on this device. Its place is kept while there is nothing to say: what stands under it must not
 * move while a finger comes down on it.
 */
export function Unsent({ count, text }: { count: number; text: string }) {
  const [late, setLate] = useState(false);
  const some = count > 0;
  useEffect(() => {
    if (!some) return;
    const timer = setTimeout(() => setLate(true), SAID_AFTER_MS);
    return () => {
      clearTimeout(timer);
      setLate(false);
    };
  }, [some]);
  return (
    <p
      role="status"
      className={`text-warn flex items-center gap-1 text-sm ${some && late ? '' : 'invisible'}`}
    >
      <CloudOff aria-hidden className="size-4" />
      <span aria-hidden className="lg:hidden">
        {count}
      </span>
      <span className="max-lg:sr-only">{text}</span>
    </p>
  );
}
