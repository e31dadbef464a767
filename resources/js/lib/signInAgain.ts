import { store } from './store';

const waiting = store<((signedIn: boolean) => void)[]>([]);

/** Asks the person to sign in again, over the page they are on. Several requests at once wait for one sign-in. */
export function afterSignIn(): Promise<boolean> {
  // Before anybody was signed in there is nobody to ask again: the whole page is the sign-in then.
  if (!signInAgain.watched) return Promise.resolve(false);
  return new Promise((resolve) => waiting.set([...waiting.get(), resolve]));
}

export const signInAgain = {
  /** Whether somebody stands ready to ask. */
  watched: false,
  useWaiting: () => waiting.use().length > 0,
  settle(signedIn: boolean): void {
    const all = waiting.get();
    waiting.set([]);
    all.forEach((resolve) => resolve(signedIn));
  },
};
