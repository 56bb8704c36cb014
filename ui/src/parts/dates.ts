import { locale } from './locale';

/** A moment of the server (UTC), written as the reader writes it. */
export function moment(utc: string) {
  return new Date(utc).toLocaleString(locale, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: 'numeric',
    minute: '2-digit',
  });
}

/** A day given as YYYY-MM-DD, written as the reader writes it. */
export function day(iso: string) {
  const [y, m, d] = iso.split('-').map(Number) as [number, number, number];
  return new Date(y, m - 1, d).toLocaleDateString(locale, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
}
