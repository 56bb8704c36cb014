import { settings } from '../state/settings.svelte';

/** A moment of the server (UTC), written as people with the chosen units write it. */
export function moment(utc: string) {
  return new Date(utc).toLocaleString(settings.system === 'inch' ? 'en-US' : 'en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: 'numeric',
    minute: '2-digit',
  });
}

/** A day given as YYYY-MM-DD, written as people with the chosen units write it. */
export function day(iso: string) {
  const [y, m, d] = iso.split('-').map(Number) as [number, number, number];
  return new Date(y, m - 1, d).toLocaleDateString(settings.system === 'inch' ? 'en-US' : 'en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
}
