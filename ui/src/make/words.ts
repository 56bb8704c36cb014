import { locale } from '../parts/locale';

/** Minutes as people say them. */
export function spell(minutes: number) {
  const m = Math.round(minutes);
  if (m < 60) return `${m} min`;
  const [h, rest] = [Math.floor(m / 60), m % 60];
  return rest ? `${h} h ${String(rest).padStart(2, '0')}` : `${h} h`;
}

/** A time of the day, with its weekday. */
export const clock = (time: Date, weekday = true) =>
  time.toLocaleString(locale, { ...(weekday ? { weekday: 'short' } : {}), hour: '2-digit', minute: '2-digit' });

/** A time as documents carry it. */
export const stamp = (time: Date) => time.toISOString().slice(0, 19) + 'Z';

/** A time as a field for local times takes it. */
export const localTime = (time: Date) =>
  new Date(time.getTime() - 60_000 * time.getTimezoneOffset()).toISOString().slice(0, 16);
