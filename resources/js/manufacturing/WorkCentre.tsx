import { Link } from 'react-router';

/** Leads to what is made at a work centre. */
export function WorkCentre({ plant, code }: { plant: string; code: string }) {
  return (
    <Link
      to={`/work-centres/${encodeURIComponent(plant)}/${encodeURIComponent(code)}`}
      className="text-accent hover:underline"
    >
      {code}
    </Link>
  );
}
