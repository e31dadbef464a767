/** How this installation writes days, amounts and numbers; told by the server with who is signed in. */
let settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', languages: ['en'] };

export function takeSettings(told: { locale: string; currency: string; time_zone: string; languages: string[] }): void {
  settings = { locale: told.locale, currency: told.currency, timeZone: told.time_zone, languages: told.languages };
}

export const locale = () => settings.locale;
export const currency = () => settings.currency;
/** The head of what is told in money: it names the currency. */
export const inMoney = (head: string) => `${head}, ${settings.currency}`;
export const timeZone = () => settings.timeZone;
/** In which documents are written; the first where nobody says. */
export const languages = () => settings.languages;

/** What stands between the whole and the fraction of a number here. */
export function decimalSign(): string {
  return new Intl.NumberFormat(settings.locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.';
}
