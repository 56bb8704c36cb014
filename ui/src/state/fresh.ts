/** A name that nobody else has: over plain HTTP, as a phone beside the vehicle comes, a browser has no randomUUID. */
export function fresh(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}
