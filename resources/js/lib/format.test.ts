import { afterEach, describe, expect, it } from 'vitest';
import { ago, amount, day, plusDays, quantity, signed, stamp, today, typedNumber, usedQuantity } from './format';
import { inMoney, takeSettings } from './settings';

afterEach(() => takeSettings({ locale: 'en-GB', currency: 'EUR', time_zone: 'UTC', languages: ['en'] }));

describe('another installation', () => {
  it('writes and reads numbers with its own decimal sign, and never mistakes a fraction for thousands', () => {
    takeSettings({ locale: 'de-DE', currency: 'SEK', time_zone: 'UTC', languages: ['en'] });
    expect(amount('1234.50')).toBe('1\u2009234,50');
    expect(quantity('0.5')).toBe('0,5');
    expect(['1.234,5', '1234,5', '0,125', '0.125', '12.345.678', '-1.5'].map(typedNumber)).toEqual([
      '1234.5',
      '1234.5',
      '0.125',
      '0.125',
      '12345678',
      '-1.5',
    ]);
    expect(inMoney('Cost')).toBe('Cost, SEK');
  });

  it('leaves what is typed with a point as it is where a point is the decimal sign', () => {
    expect(['1.234', '1 234.5', 'some'].map(typedNumber)).toEqual(['1.234', '1234.5', 'some']);
  });

  it('tells moments in its own time zone', () => {
    takeSettings({ locale: 'en-GB', currency: 'EUR', time_zone: 'Pacific/Auckland', languages: ['en'] });
    expect(stamp('2026-11-26T12:30:00Z')).toBe('2026-11-27 01:30');
    expect(today()).toBe(new Intl.DateTimeFormat('en-CA', { timeZone: 'Pacific/Auckland' }).format(new Date()));
  });
});

describe('amounts and quantities', () => {
  it('group thousands and keep every decimal', () => {
    expect(amount('1234567.89')).toBe('1\u2009234\u2009567.89');
    expect(amount('-12.50')).toBe('−12.50');
    expect(amount('0.0375')).toBe('0.0375');
    expect(quantity('1240')).toBe('1\u2009240');
    expect(quantity('0.5')).toBe('0.5');
    expect([usedQuantity('0'), usedQuantity('0.5')]).toEqual(['< 0.000001', '0.5']);
  });

  it('say of a difference which way it goes', () => {
    expect(signed('1.40')).toBe('+1.40');
    expect(signed('-18.60')).toBe('−18.60');
    expect(signed('0.00')).toBe('±0.00');
  });

  it('never turn a large exact amount into a rounded one', () => {
    expect(amount('9007199254740993.0001').replaceAll('\u2009', '')).toBe('9007199254740993.0001');
  });
});

describe('days', () => {
  it('are written as people write them', () => {
    expect(day('2027-03-01')).toBe('1 Mar 2027');
    expect(day(null)).toBe('');
  });

  it('are counted over the ends of months and the change of the clock', () => {
    expect(plusDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(plusDays('2027-03-27', 2)).toBe('2027-03-29');
    expect(plusDays('2027-01-01', -1)).toBe('2026-12-31');
  });

  it('ago is told in the largest whole unit', () => {
    const now = new Date('2026-11-23T12:00:00Z');
    expect(ago('2026-11-23T11:59:00Z', now)).toBe('1 minute');
    expect(ago('2026-11-22T12:00:00Z', now)).toBe('24 hours');
    expect(ago('2026-11-20T12:00:00Z', now)).toBe('3 days');
  });
});
