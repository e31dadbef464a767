import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach } from 'vitest';
import { forgetKept } from '../lib/useKeptHere';
import { server } from './server';

// What the browser has and jsdom lacks, as far as our primitives ask for it.
Object.assign(Element.prototype, {
  hasPointerCapture: () => false,
  setPointerCapture: () => undefined,
  releasePointerCapture: () => undefined,
  scrollIntoView: () => undefined,
  scrollTo: () => undefined,
});
globalThis.PointerEvent = class extends MouseEvent {
  readonly pointerId: number;
  constructor(type: string, init: PointerEventInit = {}) {
    super(type, init);
    this.pointerId = init.pointerId ?? 0;
  }
} as typeof PointerEvent;
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
window.matchMedia = (media) => Object.assign(new EventTarget(), { matches: false, media }) as MediaQueryList;
globalThis.fetch = (input, init) => server.answer(new Request(input, init));

// A busy machine answers late, not wrongly.
configure({ asyncUtilTimeout: 40_000 });

beforeEach(() => {
  server.reset();
  localStorage.clear();
  // What a picker says to those who hear it, it says here a moment later: no status of the page.
  document.body.append(Object.assign(document.createElement('p'), { id: 'a11y-status-message' }));
});
afterEach(() => {
  cleanup();
  document.getElementById('a11y-status-message')?.remove();
  forgetKept();
});
