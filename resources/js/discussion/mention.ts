/** The name that is being typed after an @, right before the cursor; null: none. */
export function mentionAt(text: string, cursor: number): string | null {
  return /(?:^|[^\w.@])@([\w.-]*)$/.exec(text.slice(0, cursor))?.[1] ?? null;
}

/** The text with the whole name in the place of what was typed of it, and where the cursor goes. */
export function mentioned(text: string, cursor: number, login: string): { text: string; cursor: number } {
  const before = text.slice(0, cursor).replace(/@[\w.-]*$/, `@${login} `);
  return { text: before + text.slice(cursor).replace(/^ /, ''), cursor: before.length };
}
