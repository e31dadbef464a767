import { store } from './store';

const known = store(false);

/** The server says of which build it is; when that is not the one of this page, a newer version is there. */
export const newerVersion = {
  compare(build: string | null): void {
    const own = document.querySelector<HTMLMetaElement>('meta[name="build"]')?.content ?? '';
    if (build !== null && build !== '' && own !== '' && build !== own && !known.get()) known.set(true);
  },
  use: known.use,
};
