import { useQuery } from '@tanstack/react-query';
import { queries } from '../../lib/queries';

/** The marks of change over a page of a sheet: triangles with the revision, their tip where something has changed. */
export function MarksOver({ file, page, scale }: { file: string; page: number; scale: number }) {
  const { data } = useQuery(queries.sheetMarks(file));
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0">
      {data?.marks
        .filter((mark) => mark.page === page)
        .map((mark) => (
          <svg
            key={mark.id}
            viewBox="0 0 28 28"
            className="absolute size-7 overflow-visible"
            style={{
              left: `${mark.left * 100}%`,
              top: `${mark.top * 100}%`,
              transform: `scale(${1 / scale}) translateY(-50%)`,
              transformOrigin: '0 0',
            }}
          >
            <path d="M1 14 27 1v26z" fill="#fffef9" stroke="#9c2a1a" strokeWidth="2" />
            <text x="19" y="18.5" fill="#9c2a1a" fontSize="13" fontWeight="700" textAnchor="middle">
              {data.revision}
            </text>
          </svg>
        ))}
    </div>
  );
}
