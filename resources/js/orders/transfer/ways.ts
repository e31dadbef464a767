/** From which structure to which sibling: "230-0001 engineering" to "230-0002 engineering". */
export interface Way {
  source: string;
  target: string;
}

export function waysOf(text: string): Way[] {
  return text
    .split(',')
    .map((part) => part.trim().split('>'))
    .flatMap(([source, target]) => (source && target ? [{ source, target }] : []));
}

export const written = (ways: Way[]) => ways.map(({ source, target }) => `${source}>${target}`).join(',');
