import type { Schemas } from '../api/client';

/** The sorts of work as they are called in a list. */
export const workWords: Record<Schemas['Work'], string> = {
  'look-over': 'look at the host',
  strip: 'strip a donor',
  measure: 'measure',
  cut: 'cut',
  deburr: 'deburr',
  bend: 'bend',
  drill: 'drill',
  tap: 'tap',
  pad: 'plug and pad',
  'dry-fit': 'dry fit',
  'try-on': 'try on the host',
  glue: 'glue',
  place: 'put on the host',
  fit: 'fit',
  brace: 'brace',
  strap: 'strap',
  tether: 'tether',
  camera: 'camera',
  set: 'set',
  check: 'check',
  finish: 'finish',
};

/** Minutes as people say them. */
export function spell(minutes: number) {
  const m = Math.round(minutes);
  if (m < 60) return `${m} min`;
  const [h, rest] = [Math.floor(m / 60), m % 60];
  return rest ? `${h} h ${String(rest).padStart(2, '0')}` : `${h} h`;
}

/** A time of the day, with its weekday. */
export const clock = (time: Date, weekday = true) =>
  time.toLocaleString('en-GB', { ...(weekday ? { weekday: 'short' } : {}), hour: '2-digit', minute: '2-digit' });

/** A time as documents carry it. */
export const stamp = (time: Date) => time.toISOString().slice(0, 19) + 'Z';
