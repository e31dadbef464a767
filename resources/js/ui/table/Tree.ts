/** Makes a grid a tree grid: rows stand below others, and open. */
export interface Tree<Row> {
  /** From 1. */
  level: (row: Row) => number;
  /** Whether it is open; undefined when nothing is below it. */
  open: (row: Row) => boolean | undefined;
  turn: (row: Row, open: boolean) => void;
  /** How its button calls it. */
  name: (row: Row) => string;
}
