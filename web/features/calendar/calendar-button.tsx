import { CalendarDays } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Button } from '../../ui/button';

const CalendarDialog = lazy(() => import('./calendar-dialog'));

/** Opens the way of due dates into a calendar. */
export function CalendarButton({ of, label }: { of: { id: string; name: string } | null; label: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button icon={<CalendarDays aria-hidden className="size-5" />} onClick={() => setOpen(true)}>
        {label}
      </Button>
      {open ? (
        <Suspense fallback={null}>
          <CalendarDialog of={of} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
