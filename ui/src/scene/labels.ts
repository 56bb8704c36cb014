/** A text pinned to a place of the scene, in pixels. */
export interface Label {
  key: string;
  text: string;
  x: number;
  y: number;
  tone: 'plain' | 'load' | 'handle';
}

/** A label's line and the width of a letter in it, px. */
const [LINE, LETTER] = [18, 6.6];

/** Labels that would lie over each other are moved below each other. */
export function apart(labels: Label[]): Label[] {
  const placed: Label[] = [];
  const wide = (l: Label) => LETTER * l.text.length + LINE / 2;
  for (const l of [...labels].sort((a, b) => a.y - b.y)) {
    const over = placed.filter((o) => Math.abs(o.x - l.x) < (wide(o) + wide(l)) / 2);
    const y = over.reduce((at, o) => (Math.abs(o.y - at) < LINE ? o.y + LINE : at), l.y);
    placed.push({ ...l, y });
  }
  return placed;
}
