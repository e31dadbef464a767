/** Where a person was in a table, by the entry of the history: Back brings them to the same row. */
const places = new Map<string, { row: string; top: number }>();

export const tablePlace = {
  read: (entry: string, table: string) => places.get(`${entry} ${table}`),
  write: (entry: string, table: string, row: string, top: number) => {
    places.set(`${entry} ${table}`, { row, top });
  },
};
