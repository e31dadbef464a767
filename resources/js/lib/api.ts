import createClient, { type Middleware } from 'openapi-fetch';
import type { components, paths } from './api-schema';
import { newerVersion } from './newerVersion';
import { afterSignIn } from './signInAgain';

export type Schemas = components['schemas'];

/** What the server refused, with a reason for each place that is wrong. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: Record<string, string[]>,
    readonly theirs: Record<string, string>,
  ) {
    super(message);
  }

  at(place: string): string | undefined {
    return this.errors[place]?.join(' ');
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((part) => part.startsWith(`${name}=`));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

const headers: Middleware = {
  onRequest({ request }) {
    request.headers.set('Accept', 'application/json');
    return request;
  },
  onResponse({ response }) {
    newerVersion.compare(response.headers.get('X-Orthotaxis-Build'));
  },
};

const ENDED = [401, 419];

/**
 * Sends a request. When the session has ended meanwhile, the person signs in over the page, which stays as it is, and the
 * request is sent again: nothing that was typed or pressed is lost.
 */
async function send(request: Request): Promise<Response> {
  const once = (one: Request) => {
    one.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
    return fetch(one);
  };
  const again = request.clone();
  const response = await once(request);
  const about = new URL(request.url).pathname === '/api/session';
  if (!ENDED.includes(response.status) || about) return response;
  return (await afterSignIn()) ? once(again) : response;
}

export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: send });
api.use(headers);

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** Files that somebody brings are read by a worker; until they are, the answer is fetched where the server says. */
const STILL_READING = 202;
const PAUSE = 250;

async function readingOf<T>(response: Response): Promise<Answer<T>> {
  await new Promise((resolve) => setTimeout(resolve, PAUSE));
  const id = (response.headers.get('Location') ?? '').split('/').at(-1) ?? '';
  return (await api.GET('/api/readings/{id}', { params: { path: { id } } })) as Answer<T>;
}

/** The data of an answer; a refusal, or a server that cannot be reached, becomes an ApiProblem. */
export async function told<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new ApiProblem(0, 'The server cannot be reached. What you typed is still here; try again.', {}, {});
  }
  if (answer.response.status === STILL_READING) return told(readingOf<T>(answer.response));
  if (answer.response.ok) return answer.data as T;
  const problem = answer.error as Partial<Schemas['Problem']> | undefined;
  throw new ApiProblem(
    answer.response.status,
    problem?.message ?? 'The server could not do this.',
    problem?.errors ?? {},
    problem?.theirs ?? {},
  );
}
