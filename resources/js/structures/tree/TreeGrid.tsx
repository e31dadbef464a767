import clsx from 'clsx';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { DataTable } from '../../ui/DataTable';
import { treeColumns, wholeRow } from './treeColumns';
import { isOpen, type Openness, type TreeRow } from './treeRows';

interface Props {
  rows: TreeRow[];
  openness: Openness;
  onTurn: (path: string, open: boolean) => void;
  words: string;
  /** Leads to a row, as a new value each time. */
  goTo?: { row: number } | null;
}

const keyOf = (row: TreeRow) => row.path;

/** The lines of a structure, in which those with lines of their own open. */
export function TreeGrid({ rows, openness, onTurn, words, goTo = null }: Props) {
  const navigate = useNavigate();
  const columns = useMemo(() => treeColumns(words), [words]);
  return (
    <DataTable
      label="Lines"
      exportName="structure-lines"
      rows={rows}
      columns={columns}
      whole={wholeRow}
      keyOf={keyOf}
      tree={{
        level: (row) => row.level,
        open: (row) => (row.opens ? isOpen(row, openness) : undefined),
        turn: (row, open) => onTurn(row.path, open),
        name: (row) => row.item.number,
      }}
      rowClass={(row) => clsx(!row.holds && 'text-soft line-through decoration-1', row.mark && `mark-${row.mark}`)}
      onOpen={(row) => void navigate(`/items/${row.item.number}`)}
      goTo={goTo}
      empty="No lines recorded."
    />
  );
}
