/** The rows of a check list that is written one a line. */
export const rowsOf = (text: string) =>
  text
    .split('\n')
    .map((row) => row.trim())
    .filter((row) => row !== '');
