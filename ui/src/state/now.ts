/** The time as documents and logs carry it: 2026-05-01T14:30:00Z. */
export const nowText = () => new Date().toISOString().replace(/\.\d+Z$/, 'Z');
