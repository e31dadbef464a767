/** Of the height of a window: what begins lower down would have too little of it. */
const HIGH_UP = 0.45;

/**
 * Lets a box that scrolls end where the window does, above the strip at its foot: its last row is seen without scrolling the page as
 * well. One that begins further down may be nearly as high as the window: the page is scrolled to it, as may one that
 * is not on the page but over it. The heights are those of the style sheet (fits-window), which is told here how far below the top of
 * the page the box begins.
 *
 * @returns stops looking
 */
export function fitToWindow(box: HTMLElement): () => void {
  const page = box.closest('main');
  if (page === null) return () => undefined;
  const look = () => {
    const above = box.getBoundingClientRect().top + window.scrollY;
    if (above < window.innerHeight * HIGH_UP) box.style.setProperty('--above', `${Math.ceil(above)}px`);
    else box.style.removeProperty('--above');
  };
  let frame = 0;
  // In the next frame: a height that is set while sizes are being told would be told in the same breath.
  const soon = () => {
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(look);
  };
  look();
  const observer = new ResizeObserver(soon);
  observer.observe(page);
  window.addEventListener('resize', soon);
  return () => {
    cancelAnimationFrame(frame);
    observer.disconnect();
    window.removeEventListener('resize', soon);
  };
}
