import { useQuery } from '@tanstack/react-query';
import { once } from '../../workers/once';
import type { AppointmentsAsked, AppointmentsShown } from '../../workers/appointments.worker';

const start = () =>
  new Worker(new URL('../../workers/appointments.worker.ts', import.meta.url), { type: 'module' });

/** The plan of appointments, worked out beside the page; what was shown stays until the newest is there. */
export const useAppointments = (asked: AppointmentsAsked) =>
  useQuery({
    queryKey: ['appointments', asked],
    queryFn: ({ signal }) => once<AppointmentsShown>(start, asked, signal),
    placeholderData: (previous) => previous,
    retry: false,
    staleTime: Infinity,
    networkMode: 'always',
  });
