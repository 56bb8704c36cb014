/** What a phone must have felt before it is believed to feel anything, ms. */
const SILENT = 1500;

type Asking = typeof DeviceMotionEvent & { requestPermission?: () => Promise<'granted' | 'denied'> };

/** Whether this device can write down how it is shaken: a phone, on a page that its browser trusts. */
export const canRecord = () => isSecureContext && 'DeviceMotionEvent' in window && navigator.maxTouchPoints > 0;

/**
 * Writes down how the phone is shaken, as the log that a phone's own recorder would save: seconds and three axes in m/s².
 *
 * @param seconds How long.
 * @param onleft Told the seconds that are left.
 * @throws Error Why there is none, in words.
 */
export async function record(seconds: number, onleft: (left: number) => void): Promise<Blob> {
  const asking = DeviceMotionEvent as Asking;
  if (asking.requestPermission && (await asking.requestPermission()) !== 'granted')
    throw new Error('The browser was told not to feel motion: allow it in its settings for this page.');
  const rows = ['time (s),x (m/s²),y (m/s²),z (m/s²)'];
  return new Promise((resolve, reject) => {
    const began = performance.now();
    const felt = (e: DeviceMotionEvent) => {
      const a = e.accelerationIncludingGravity ?? e.acceleration;
      if (a?.x == null || a.y == null || a.z == null) return;
      rows.push(`${((e.timeStamp - began) / 1000).toFixed(4)},${a.x.toFixed(4)},${a.y.toFixed(4)},${a.z.toFixed(4)}`);
    };
    window.addEventListener('devicemotion', felt);
    const clock = setInterval(() => {
      const past = performance.now() - began;
      onleft(Math.max(0, Math.ceil(seconds - past / 1000)));
      const silent = past > SILENT && rows.length < 2;
      if (past < seconds * 1000 && !silent) return;
      clearInterval(clock);
      window.removeEventListener('devicemotion', felt);
      if (silent) reject(new Error('This phone tells its browser nothing of motion.'));
      else resolve(new Blob([rows.join('\n')], { type: 'text/csv' }));
    }, 100);
  });
}
