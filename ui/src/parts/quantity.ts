import type { Dimension } from '../api/client';
import { catalogue } from '../state/catalogue.svelte';
import { settings } from '../state/settings.svelte';

/** The unit a dimension is shown in. Units and digits come from the server. */
export function unitOf(dimension: Dimension) {
  return catalogue.units.find((u) => u.dimension === dimension && u.system === settings.system);
}

function sixteenths(inches: number) {
  const n = Math.round(Math.abs(inches) * 16);
  let [part, den] = [n % 16, 16];
  while (part > 0 && part % 2 === 0) [part, den] = [part / 2, den / 2];
  const whole = Math.floor(n / 16);
  const sign = inches < 0 && n > 0 ? '−' : '';
  return sign + (part === 0 ? `${whole}` : whole === 0 ? `${part}/${den}` : `${whole} ${part}/${den}`);
}

/** A value in the shown unit, as a number. */
export function inUnit(si: number, dimension: Dimension) {
  const u = unitOf(dimension);
  return u ? si / u.factor - u.offset : si;
}

/** A shown number as an SI value. */
export function fromUnit(shown: number, dimension: Dimension) {
  const u = unitOf(dimension);
  return u ? (shown + u.offset) * u.factor : shown;
}

/** The inch drill nearest to a size: drills are named, never rounded to a ruler's sixteenths. */
function inchDrill(si: number) {
  return catalogue.drills.reduce((best, d) => (Math.abs(d.diameter - si) < Math.abs(best.diameter - si) ? d : best))
    .name;
}

/** Number without its unit. */
export function number(si: number, dimension: Dimension) {
  const u = unitOf(dimension);
  if (!u) return `${si}`;
  const v = inUnit(si, dimension);
  if (Math.abs(v) < u.smallBelow) {
    // Fine sizes in inches keep their thousandths: 0.75 mm is 0.030 in.
    const text = fixed(v, u.smallDigits);
    return u.fraction && v !== 0 ? text : text.replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '');
  }
  return u.fraction && settings.fractions ? sixteenths(v) : grouped(fixed(v, u.digits));
}

/** So many digits with the sign of print; nothing has no sign. */
function fixed(v: number, digits: number) {
  const text = v.toFixed(digits);
  return /[1-9]/.test(text) ? text.replace('-', '−') : text.replace('-', '');
}

/** From five digits on they stand in threes. */
const grouped = (text: string) =>
  /^−?\d{5}/.test(text) ? text.replace(/\B(?=(\d{3})+(?!\d))(?<!\.\d*)/g, '\u202f') : text;

/** What an arrow key adds to a value, in the shown unit. */
export function stepOf(si: number, dimension: Dimension) {
  const u = unitOf(dimension);
  if (!u) return 1;
  return Math.abs(inUnit(si, dimension)) < u.smallBelow ? u.step / 10 : u.step;
}

/** Number and unit. */
export function quantity(si: number, dimension: Dimension) {
  if (dimension === 'drill' && settings.system === 'inch') return inchDrill(si);
  const symbol = unitOf(dimension)?.symbol ?? '';
  return symbol ? `${number(si, dimension)} ${symbol}` : number(si, dimension);
}

/** A price to the cent, where small things are added up. */
export const price = (value: number) => `${value.toFixed(2)} ${unitOf('money')?.symbol ?? ''}`.trim();

/** A change with its sign. */
export function difference(si: number, dimension: Dimension) {
  const text = quantity(Math.abs(si), dimension);
  return `${si < 0 && /[1-9]/.test(text) ? '−' : '+'}${text}`;
}

export const percent = (use: number) => (use >= 9.99 ? '> 999 %' : `${Math.round(use * 100)} %`);

/** How speeds of a host are shown: in turns a minute where it turns. */
export function speedsOf(hostId: string) {
  const perRpm = catalogue.name(hostId)?.perRpm;
  return perRpm
    ? { symbol: 'rpm', shown: (si: number) => si / perRpm, back: (v: number) => v * perRpm }
    : {
        symbol: unitOf('speed')?.symbol ?? '',
        shown: (si: number) => inUnit(si, 'speed'),
        back: (v: number) => fromUnit(v, 'speed'),
      };
}

/** A speed with its unit, as the host's are shown. */
export function speedOf(si: number, hostId: string) {
  const own = speedsOf(hostId);
  return own.symbol === 'rpm' ? `${Math.round(own.shown(si))} rpm` : quantity(si, 'speed');
}

/** A speed of the host; of the wind where it stands. */
export const speedText = (si: number, hostId: string) =>
  speedOf(si, hostId) + (catalogue.name(hostId)?.standsStill ? ' of wind' : '');

/** A limit speed; where there is none the host does no speed at which anything gives. */
export const limitText = (limit: number | null | undefined, hostId: string) =>
  limit != null ? speedOf(limit, hostId) : 'as far as looked at';

/** Texts of the server carry quantities as {speed:12.5}; speeds as the host's are shown, where it is known. */
export function fill(text: string, hostId?: string) {
  return text.replace(/\{([a-z]+):([-+0-9.eE]+)\}/g, (_, name: string, value: string) => {
    if (hostId && name === 'speed') return speedOf(Number(value), hostId);
    const unit = catalogue.units.find((u) => u.dimension?.replaceAll('-', '') === name);
    return unit ? quantity(Number(value), unit.dimension) : value;
  });
}

/** The three words, as printed. */
export const words = { holds: 'holds', tight: 'tight', 'lets-go': 'lets go' } as const;

/** Inside a sentence: names of alloys and threads keep their capitals. */
export const uncapital = (s: string) => (/^[A-Z][a-z]/.test(s) ? s.charAt(0).toLowerCase() + s.slice(1) : s);

export const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);
