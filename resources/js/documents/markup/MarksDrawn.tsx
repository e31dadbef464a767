import { pathOf, textAt, type Mark } from './marks';

const RED = '#c4122f';

/** The marks as they are drawn on the sheet, with a light edge so that they are seen on dark lines as well. */
export function MarksDrawn({ marks }: { marks: Mark[] }) {
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      {marks.map((mark, at) => {
        const path = pathOf(mark);
        const text = textAt(mark);
        return (
          <g key={at}>
            {path !== '' && <path d={path} stroke="#ffffff" strokeWidth={7} opacity={0.7} />}
            {path !== '' && <path d={path} stroke={RED} strokeWidth={3} />}
            {mark.text !== '' && (
              <text
                x={text.x}
                y={text.y}
                fontSize={24}
                fontFamily="sans-serif"
                fill={RED}
                stroke="#ffffff"
                strokeWidth={4}
                paintOrder="stroke"
                textAnchor={mark.tool === 'dimension' ? 'middle' : 'start'}
              >
                {mark.text}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
