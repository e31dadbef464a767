import { day, today } from '../lib/format';

/** A text as a string of CSS. */
const quoted = (text: string) => `"${text.replace(/["\\\n]/g, (one) => `\\${one.charCodeAt(0).toString(16)} `)}"`;

/** At the foot of each printed page: whose page it is, the day, and the page of how many. */
export function PrintFoot({ title }: { title: string }) {
  return (
    <style>{`@media print { @page {
      @bottom-left { content: ${quoted(`${title} · printed ${day(today())}`)} }
      @bottom-right { content: "Page " counter(page) " of " counter(pages) }
    } }`}</style>
  );
}
