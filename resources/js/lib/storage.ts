/**
 * What this browser keeps for the person who is signed in. Each person has keys of their own, so that nobody sees what
 * another one typed; what is damaged, or cannot be kept, is as if it were not there.
 */
let person = '';

const key = (name: string) => `${person}:${name}`;

/** Says whose things are meant from now on. What was kept before people were told apart is nobody's, and goes. */
export function keepFor(login: string): void {
  person = login;
  try {
    for (const name of Object.keys(localStorage))
      if (name === 'recent' || name.startsWith('draft:')) localStorage.removeItem(name);
  } catch {
    // A browser that keeps nothing has nothing of others either.
  }
}

export function readKept(name: string): unknown {
  try {
    const text = localStorage.getItem(key(name));
    return text === null ? null : (JSON.parse(text) as unknown);
  } catch {
    return null;
  }
}

export function writeKept(name: string, value: unknown): void {
  try {
    localStorage.setItem(key(name), JSON.stringify(value));
  } catch {
    // Full, or forbidden: what is typed stays on the page at least.
  }
}

export function dropKept(name: string): void {
  try {
    localStorage.removeItem(key(name));
  } catch {
    // There is nothing to drop then.
  }
}

export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
