const dayFormat = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
const momentFormat = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** "2027-03-01" as people write it: 1 Mar 2027. */
export function day(iso: string | null): string {
  return iso ? dayFormat.format(new Date(`${iso}T00:00:00`)) : '';
}

export function moment(iso: string | null): string {
  return iso ? momentFormat.format(new Date(iso)) : '';
}

/** A moment for a file: "2026-11-26 08:05", in the time of the person. */
export function stamp(iso: string | null): string {
  if (!iso) return '';
  const at = new Date(iso);
  const two = (part: number) => String(part).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}:${two(at.getMinutes())}`;
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
  return `${sign}${whole.replace('-', '').replace(/\B(?=(\d{3})+$)/g, '\u2009')}.${fraction}`;
}

/** A difference in money with its sign: "+12.60", "−3.00", "±0.00". */
export function signed(text: string): string {
  if (/^-?0+(\.0+)?$/.test(text)) return '±0.00';
  return text.startsWith('-') ? amount(text) : `+${amount(text)}`;
}

/** An exact quantity with thin groups of thousands. */
export function quantity(text: string): string {
  const [whole = '0', fraction] = text.split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, '\u2009');
  return fraction === undefined ? grouped : `${grouped}.${fraction}`;
}

/** A count with thin groups of thousands. */
export function count(number: number): string {
  return quantity(String(number));
}

export function today(): string {
  const now = new Date();
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
}

export function plusDays(iso: string, days: number): string {
  const date = new Date(`${iso}T12:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** What an act of the ledger is called: "order.sent_to_review" is "order sent to review". */
export function act(name: string): string {
  return name.replace('.', ' ').replaceAll('_', ' ');
}
