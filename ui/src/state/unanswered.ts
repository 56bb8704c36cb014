/**
 * Texts that were typed into a field and are neither taken nor given up: its panel was left while it asked "really?". They stand in the field again, and it
 * asks again, when the panel comes back. Forgotten with the page.
 */
const left: Record<string, string> = {};

/** Where a field is: which rig's, what it belongs to, what it is called. */
export const placeOf = (where: string, label: string) =>
  `${location.hash.split('/').slice(0, 3).join('/')}|${where}|${label}`;

export const leave = (place: string, text: string) => {
  left[place] = text;
};

/** What was left there; it is asked about by whoever takes it. */
export function takeUp(place: string): string | undefined {
  const text = left[place];
  delete left[place];
  return text;
}
