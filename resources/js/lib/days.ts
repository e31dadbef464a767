import { plusDays } from './format';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];

/** A day of the calendar as ISO 8601 writes it; null when there is no such day. A year of two digits is of this century. */
function dayOf(year: number, month: number, day: number): string | null {
  const full = year < 100 ? 2000 + year : year;
  const date = new Date(Date.UTC(full, month - 1, day));
  const there = date.getUTCFullYear() === full && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  return there && full >= 1900 && full <= 2999 ? date.toISOString().slice(0, 10) : null;
}

/**
 * Understands a day as people write it: 26 Nov 2026, 26.11.26, 2026-11-26, today, tomorrow, +5 (days), +2w (weeks),
 * Mon and next Mon. A day and a month with slashes between are only taken where they cannot be mistaken for one another.
 */
export function parseDay(text: string, today: string): string | null {
  const said = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const numbers = (found: RegExpExecArray | null) => (found?.slice(1) ?? []).map(Number);
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(said);
  if (iso) {
    const [year = 0, month = 0, day = 0] = numbers(iso);
    return dayOf(year, month, day);
  }
  const dotted = /^(\d{1,2})[.-](\d{1,2})[.-](\d{2}|\d{4})$/.exec(said);
  if (dotted) {
    const [day = 0, month = 0, year = 0] = numbers(dotted);
    return dayOf(year, month, day);
  }
  const slashed = /^(\d{1,2})\/(\d{1,2})\/(\d{2}|\d{4})$/.exec(said);
  if (slashed) {
    const [first = 0, second = 0, year = 0] = numbers(slashed);
    if (first > 12 && second <= 12) return dayOf(year, second, first);
    if (second > 12 && first <= 12) return dayOf(year, first, second);
    return first === second ? dayOf(year, first, second) : null;
  }
  const named = /^(\d{1,2})\.? ?([a-z]{3,9})\.?,? ?(\d{2}|\d{4})?$/.exec(said) ?? null;
  const turned = named ? null : /^([a-z]{3,9})\.? (\d{1,2}),? ?(\d{2}|\d{4})?$/.exec(said);
  if (named ?? turned) {
    const [day, word, year] = named ? [named[1], named[2], named[3]] : [turned?.[2], turned?.[1], turned?.[3]];
    const month = MONTHS.indexOf((word ?? '').slice(0, 3)) + 1;
    return month === 0
      ? null
      : dayOf(year === undefined ? Number(today.slice(0, 4)) : Number(year), month, Number(day));
  }
  const steps = /^([+-])\s?(\d{1,4})\s?(d|days?|w|weeks?)?$/.exec(said);
  if (steps) {
    const count = Number(steps[2]) * ((steps[3] ?? 'd').startsWith('w') ? 7 : 1);
    return plusDays(today, steps[1] === '-' ? -count : count);
  }
  if (said === 'today') return today;
  if (said === 'tomorrow') return plusDays(today, 1);
  if (said === 'yesterday') return plusDays(today, -1);
  const weekday = /^(?:next )?([a-z]{3,9})$/.exec(said)?.[1] ?? '';
  const wanted = WEEKDAYS.findIndex((name) => weekday.startsWith(name));
  if (wanted < 0) return null;
  const now = new Date(`${today}T00:00:00Z`).getUTCDay();
  return plusDays(today, (wanted - now + 7) % 7 || 7);
}
