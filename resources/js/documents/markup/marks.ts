/** What is drawn over a sheet: its form, in the coordinates of the sheet. */
export type Tool = 'freehand' | 'line' | 'arrow' | 'cloud' | 'text' | 'dimension';

export interface Point {
  x: number;
  y: number;
}

export interface Mark {
  tool: Tool;
  /** Freehand: all points. Everything else: where it begins and where it ends. */
  points: Point[];
  /** Of a text or a dimension. */
  text: string;
}

export const tools: Record<Tool, string> = {
  freehand: 'Freehand',
  line: 'Line',
  arrow: 'Arrow',
  cloud: 'Cloud',
  text: 'Text',
  dimension: 'Dimension',
};

const HEAD = 16;
const BUMP = 26;
const TICK = 9;

const at = ({ x, y }: Point) => `${x.toFixed(1)} ${y.toFixed(1)}`;

/** The line to draw for a mark, as the path of an SVG. A text has none. */
export function pathOf({ tool, points }: Mark): string {
  const [from, to] = [points[0], points[points.length - 1]];
  if (!from || !to) return '';
  switch (tool) {
    case 'freehand':
      return `M ${points.map(at).join(' L ')}`;
    case 'line':
      return `M ${at(from)} L ${at(to)}`;
    case 'arrow':
      return `M ${at(from)} L ${at(to)} ${head(from, to)}`;
    case 'dimension':
      return `M ${at(from)} L ${at(to)} ${head(from, to)} ${head(to, from)} ${tick(from, to)} ${tick(to, from)}`;
    case 'cloud':
      return cloud(from, to);
    case 'text':
      return '';
  }
}

/** Both sides of the point of an arrow that comes from one point and ends at the other. */
function head(from: Point, to: Point): string {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const side = (turn: number) => ({ x: to.x - HEAD * Math.cos(angle + turn), y: to.y - HEAD * Math.sin(angle + turn) });
  return `M ${at(side(0.45))} L ${at(to)} L ${at(side(-0.45))}`;
}

/** The short line across the end of a dimension. */
function tick(end: Point, other: Point): string {
  const angle = Math.atan2(other.y - end.y, other.x - end.x) + Math.PI / 2;
  const off = { x: TICK * Math.cos(angle), y: TICK * Math.sin(angle) };
  return `M ${at({ x: end.x - off.x, y: end.y - off.y })} L ${at({ x: end.x + off.x, y: end.y + off.y })}`;
}

/** A closed row of bumps around a rectangle, as a revision is clouded on a drawing. */
function cloud(a: Point, b: Point): string {
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
  const corners = [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
    { x: left, y: top },
  ];
  let path = `M ${at({ x: left, y: top })}`;
  corners.slice(1).forEach((corner, side) => {
    const from = corners[side] ?? corner;
    const length = Math.hypot(corner.x - from.x, corner.y - from.y);
    const bumps = Math.max(1, Math.round(length / BUMP));
    for (let i = 1; i <= bumps; i++) {
      const end = { x: from.x + ((corner.x - from.x) * i) / bumps, y: from.y + ((corner.y - from.y) * i) / bumps };
      const radius = length / bumps / 2;
      path += ` A ${radius.toFixed(1)} ${radius.toFixed(1)} 0 0 1 ${at(end)}`;
    }
  });
  return `${path} Z`;
}

/** Where the text of a mark stands: a note where it begins, a dimension over its middle. */
export function textAt({ tool, points }: Mark): Point {
  const from = points[0] ?? { x: 0, y: 0 };
  const to = points[points.length - 1] ?? from;
  return tool === 'text' ? from : { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 - 8 };
}

export function moved(mark: Mark, x: number, y: number): Mark {
  return { ...mark, points: mark.points.map((point) => ({ x: point.x + x, y: point.y + y })) };
}

/** A mark of usual size in the middle of the sheet, for those who draw by keys. */
export function inTheMiddle(tool: Tool, text: string, width: number, height: number): Mark {
  const middle = { x: width / 2, y: height / 2 };
  const off = width / 10;
  const points =
    tool === 'text'
      ? [middle]
      : [
          { x: middle.x - off, y: middle.y - (tool === 'cloud' ? off / 2 : 0) },
          { x: middle.x + off, y: middle.y + (tool === 'cloud' ? off / 2 : 0) },
        ];
  return { tool, points, text };
}
