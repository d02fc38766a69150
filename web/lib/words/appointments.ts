import appointments from '../../locales/en/appointments.json';
import { addWords } from '../i18n';

/** Appointments, what they cost, and what a client takes home. */
export const APPOINTMENTS = appointments;
addWords('appointments', { appointments });
