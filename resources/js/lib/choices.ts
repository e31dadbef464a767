import type { Schemas } from './api';

type Row = Schemas['ChoiceRow'];

let rows: Row[] = [];

/** What an administrator has set up, as it came with the session. */
export function takeChoices(all: Row[]): void {
  rows = all;
}

/** What a code of a list is called, also when it is offered no longer. */
export function nameOf(list: Row['list'], code: string): string {
  return rows.find((row) => row.list === list && row.code === code)?.name ?? code;
}

/** What can be chosen of a list, by code; with what is chosen already, which stays possible. */
export function offered(list: Row['list'], chosen = ''): Record<string, string> {
  return Object.fromEntries(
    rows
      .filter((row) => row.list === list && (!row.retired || row.code === chosen))
      .map(({ code, name }) => [code, name]),
  );
}

/** All of a list, by code: to filter by, and to find what has them. */
export function allOf(list: Row['list']): Record<string, string> {
  return Object.fromEntries(rows.filter((row) => row.list === list).map(({ code, name }) => [code, name]));
}
