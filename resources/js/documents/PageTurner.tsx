import { Button } from '../ui/Button';

interface Props {
  page: number;
  pages: number;
  onTurn: (page: number) => void;
}

/** Turns the pages of a sheet that has more than one. */
export function PageTurner({ page, pages, onTurn }: Props) {
  if (pages < 2) return null;
  return (
    <span className="ml-4 flex items-center gap-2">
      <Button disabled={page === 1} onClick={() => onTurn(page - 1)}>
        Previous page
      </Button>
      <span role="status">
        Page {page} of {pages}
      </span>
      <Button disabled={page === pages} onClick={() => onTurn(page + 1)}>
        Next page
      </Button>
    </span>
  );
}
