/** True for the name of a language as standards have it: what a browser is told by its system is not always one. */
function isKnown(language: string): boolean {
  try {
    return Intl.getCanonicalLocales(language).length > 0;
  } catch {
    return false;
  }
}

/** The reader's languages, as the browser has them; none where there is no browser. */
const languages: readonly string[] = globalThis.navigator?.languages ?? [];

/** How days and times are written: as the reader writes them, in the language of the texts around them. */
export const localeOf = (of: readonly string[]) => of.find((l) => /^en\b/i.test(l) && isKnown(l)) ?? 'en-GB';

/** Regions where one measures in inches and miles. */
const INCHES = ['US', 'LR', 'MM'];

/** How the reader measures, as long as nobody chose: by the region of the first language. */
export const systemOf = (of: readonly string[]) =>
  INCHES.includes(new Intl.Locale(of.find(isKnown) ?? 'en-GB').region ?? '') ? 'inch' : 'metric';

export const locale = localeOf(languages);
export const usualSystem = systemOf(languages);
