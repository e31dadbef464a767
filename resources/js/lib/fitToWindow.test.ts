import { expect, it, vi } from 'vitest';
import { fitToWindow } from './fitToWindow';

const frames = () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));

it('tells how far below the top of the page a box begins, however far that is scrolled, and again when that changes', async () => {
  const box = document.createElement('div');
  document.body.appendChild(document.createElement('main')).append(box);
  let top = 246.2;
  vi.spyOn(box, 'getBoundingClientRect').mockImplementation(() => new DOMRect(0, top, 800, 400));
  const above = () => box.style.getPropertyValue('--above');
  const stop = fitToWindow(box);
  expect(above()).toBe('247px');
  Object.defineProperty(window, 'scrollY', { value: 100, configurable: true });
  top = 200;
  window.dispatchEvent(new Event('resize'));
  await frames();
  expect(above()).toBe('300px');
  // Further down it may be as high as the window: the page is scrolled to it.
  top = window.innerHeight / 2 - 20;
  window.dispatchEvent(new Event('resize'));
  await frames();
  expect(above()).toBe('');
  stop();
  top = 50;
  window.dispatchEvent(new Event('resize'));
  await frames();
  expect(above()).toBe('');
});

it('leaves alone what stands over the page', () => {
  const box = document.body.appendChild(document.createElement('div'));
  fitToWindow(box)();
  expect(box.style.getPropertyValue('--above')).toBe('');
});
