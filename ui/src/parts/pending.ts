/** Typed texts that the server is still asked about: what is to be kept as typed waits for them. */
const asked = new Set<Promise<boolean>>();

/** Takes note of a text under way; true when it was taken, false when it was not understood. */
export function underWay(text: Promise<boolean>): Promise<boolean> {
  asked.add(text);
  void text.finally(() => asked.delete(text));
  return text;
}

/** Resolves once all texts are understood or refused; false where one was refused. */
export const understood = async () => (await Promise.all(asked)).every(Boolean);
