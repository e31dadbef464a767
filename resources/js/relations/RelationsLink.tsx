import { Link } from 'react-router';

/** To all to which a record is tied. */
export function RelationsLink({ number }: { number: string }) {
  return (
    <Link to={`/relations/${number}`} className="no-print text-accent underline-offset-3 hover:underline">
      Relations
    </Link>
  );
}
