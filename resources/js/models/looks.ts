/** How bodies look. Never told by colour alone: what is gone is an outline of dashes, what stays is pale, what came is whole. */
export const LOOKS = {
  plain: { face: 'body', edge: 'ink', opacity: 1, dashed: false },
  chosen: { face: 'accent', edge: 'ink', opacity: 1, dashed: false },
  pale: { face: 'body', edge: 'soft', opacity: 0.22, dashed: false },
  added: { face: 'accent', edge: 'ink', opacity: 1, dashed: false },
  removed: { face: 'alarm', edge: 'alarm', opacity: 0, dashed: true },
  changed: { face: 'warn', edge: 'ink', opacity: 1, dashed: false },
  moved: { face: 'plum', edge: 'ink', opacity: 1, dashed: false },
  /** Where or how it was. */
  was: { face: 'soft', edge: 'soft', opacity: 0, dashed: true },
} as const satisfies Record<string, { face: Hue; edge: Hue; opacity: number; dashed: boolean }>;

export type Look = keyof typeof LOOKS;

const HUES = ['body', 'ink', 'soft', 'accent', 'alarm', 'warn', 'plum'] as const;
type Hue = (typeof HUES)[number];
export type Colours = Record<Hue, string>;

/** Names of the colours of the page, light or dark. */
const VARIABLES: Colours = {
  body: '--model-body',
  ink: '--ink',
  soft: '--ink-soft',
  accent: '--accent',
  alarm: '--alarm',
  warn: '--warn',
  plum: '--plum',
};

/** The colours that hold where something stands on the page. */
export function coloursOf(element: Element): Colours {
  const style = getComputedStyle(element);
  return Object.fromEntries(
    HUES.map((hue) => [hue, style.getPropertyValue(VARIABLES[hue]).trim() || '#888888']),
  ) as Colours;
}
