import { lazy } from 'react';
import { OpensLater } from '../OpensLater';
import type { Column } from './Column';
import { columnButton } from './columnButton';
import type { TableState } from './useTableState';

const Open = lazy(() => import('./ColumnMenuOpen')) as unknown as <Row>(props: {
  state: TableState<Row>;
  columns: Column<Row>[];
}) => React.ReactElement;

/** Opens the choice of columns. */
export function ColumnMenu<Row>({ state, columns }: { state: TableState<Row>; columns: Column<Row>[] }) {
  return (
    <OpensLater
      button={(onClick) => (
        <button type="button" className={columnButton} onClick={onClick}>
          Columns
        </button>
      )}
    >
      <Open state={state} columns={columns} />
    </OpensLater>
  );
}
