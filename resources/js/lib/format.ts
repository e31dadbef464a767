import { decimalSign, locale, timeZone } from './settings';

/** A format is made once for each way of writing: making it is what takes long. */
const formats = new Map<string, Intl.DateTimeFormat>();

function format(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify([locale(), options]);
  const kept = formats.get(key) ?? new Intl.DateTimeFormat(locale(), options);
  formats.set(key, kept);
  return kept;
}

const DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const;

/** "2027-03-01" as people write it: 1 Mar 2027. */
export function day(iso: string | null): string {
  return iso ? format({ ...DAY, timeZone: 'UTC' }).format(new Date(`${iso}T00:00:00Z`)) : '';
}

/** A moment in the zone of the installation, so that everybody reads the same day. */
export function moment(iso: string | null): string {
  return iso ? format({ ...DAY, hour: '2-digit', minute: '2-digit', timeZone: timeZone() }).format(new Date(iso)) : '';
}

/** Year, month, day, hour and minute of a moment in the zone of the installation, with two digits or four. */
function partsOf(at: Date): Record<string, string> {
  const written = new Intl.DateTimeFormat('en-GB', {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    timeZone: timeZone(),
  });
  return Object.fromEntries(written.formatToParts(at).map(({ type, value }) => [type, value]));
}

/** A moment for a file: "2026-11-26 08:05". */
export function stamp(iso: string | null): string {
  if (!iso) return '';
  const { year, month, day: date, hour, minute } = partsOf(new Date(iso));
  return `${year}-${month}-${date} ${hour}:${minute}`;
}

/** How long ago, in the largest whole unit: "3 days", "2 hours". */
export function ago(iso: string, now: Date = new Date()): string {
  const minutes = Math.max(0, Math.round((now.getTime() - new Date(iso).getTime()) / 60_000));
  const [count, unit] =
    minutes < 60
      ? [minutes, 'minute']
      : minutes < 48 * 60
        ? [Math.floor(minutes / 60), 'hour']
        : [Math.floor(minutes / 1440), 'day'];
  return `${count} ${unit}${count === 1 ? '' : 's'}`;
}

/** An exact amount with thin groups of thousands and two decimals at least: "1 240.50". Text in, text out: no float. */
export function amount(text: string): string {
  const [whole = '0', fraction = '00'] = text.split('.');
  const sign = whole.startsWith('-') ? '−' : '';
  return `${sign}${whole.replace('-', '').replace(/\B(?=(\d{3})+$)/g, '\u2009')}${decimalSign()}${fraction}`;
}

/** To cents, where a figure is made of many: "175.6246" is read as "175.62". What is exported stays exact. */
export function cents(text: string): string {
  const [whole = '0', fraction = ''] = text.split('.');
  return fraction.length <= 2 ? text : Number(`${whole}.${fraction}`).toFixed(2);
}

/** A difference in money with its sign: "+12.60", "−3.00", "±0.00". */
export function signed(text: string): string {
  if (/^-?0+(\.0+)?$/.test(text)) return '±0.00';
  return text.startsWith('-') ? amount(text) : `+${amount(text)}`;
}

/** Minutes more or less. */
export function signedMinutes(text: string): string {
  if (/^-?0+(\.0+)?$/.test(text)) return '±0';
  return text.startsWith('-') ? `−${quantity(text.slice(1))}` : `+${quantity(text)}`;
}

/** An exact quantity with thin groups of thousands. */
export function quantity(text: string): string {
  const [whole = '0', fraction] = text.split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, '\u2009');
  return fraction === undefined ? grouped : `${grouped}${decimalSign()}${fraction}`;
}

/** A quantity of what is used: what rounds to nothing in six decimals is little, not none. */
export function usedQuantity(text: string): string {
  return /^0(\.0+)?$/.test(text) ? `< ${quantity('0.000001')}` : quantity(text);
}

/** A count with thin groups of thousands. */
export function count(number: number): string {
  return quantity(String(number));
}

/** The day it is in the zone of the installation: the server means the same. */
export function today(): string {
  const { year, month, day: date } = partsOf(new Date());
  return `${year}-${month}-${date}`;
}

/**
 * A number as it is typed, read as the server wants it, with a point. Where a comma is the decimal sign, points part
 * thousands, but only where they can: 1.234,5 is 1234.5, and 0.125 is no thousand of anything.
 */
export function typedNumber(text: string): string {
  const said = text.trim().replace(/[\s\u00a0\u2009\u202f]/g, '');
  if (decimalSign() !== ',') return said;
  return (/^-?[1-9]\d{0,2}(\.\d{3})+(,\d*)?$/.test(said) ? said.replaceAll('.', '') : said).replace(',', '.');
}

export function plusDays(iso: string, days: number): string {
  const date = new Date(`${iso}T12:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** "German" of "de". */
export const languageName = (code: string) => new Intl.DisplayNames(['en'], { type: 'language' }).of(code) ?? code;
