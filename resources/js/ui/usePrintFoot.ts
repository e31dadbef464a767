import { useEffect } from 'react';
import { day, today } from '../lib/format';

/** A text as a string of CSS. */
const quoted = (text: string) => `"${text.replace(/["\\\n]/g, (one) => `\\${one.charCodeAt(0).toString(16)} `)}"`;

/** At the foot of each printed page: whose page it is, the day, and the page of how many. Written when it is printed. */
export function usePrintFoot(title: string) {
  useEffect(() => {
    const foot = document.createElement('style');
    foot.id = 'print-foot';
    const write = () => {
      foot.textContent = `@page {
        @bottom-left { content: ${quoted(`${title} · printed ${day(today())}`)} }
        @bottom-right { content: "Page " counter(page) " of " counter(pages) }
      }`;
      document.head.append(foot);
    };
    window.addEventListener('beforeprint', write);
    return () => {
      window.removeEventListener('beforeprint', write);
      foot.remove();
    };
  }, [title]);
}
