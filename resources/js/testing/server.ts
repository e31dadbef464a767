/** One request as a component sent it. */
export interface Call {
  method: string;
  path: string;
  query: Record<string, string>;
  body: unknown;
}

type Answer = (call: Call) => unknown;

/** A file is still being read: the answer is fetched later, at this id. */
export class Later {
  constructor(readonly id: string) {}
}

/** A refusal as the server words it: a reason for each place. */
export class Refused {
  constructor(
    readonly status: number,
    readonly message: string,
    readonly errors: Record<string, string[]> = {},
  ) {}
}

const PAGED = ['/api/items', '/api/changes', '/api/reports'];

/** Stands in for the server: answers what a test says, and remembers what it was asked. */
class Server {
  calls: Call[] = [];
  private answers = new Map<string, Answer>();

  reset(): void {
    this.calls = [];
    this.answers.clear();
  }

  /** Answers "GET /api/desk" with data, with what a function makes of the call, or with a refusal. */
  on(what: string, answer: Answer | object | string | null): this {
    this.answers.set(what, typeof answer === 'function' ? (answer as Answer) : () => answer);
    return this;
  }

  /** The same for what most pages ask, unless the test has said it. */
  orElse(what: string, answer: object): this {
    return this.answers.has(what) ? this : this.on(what, answer);
  }

  /** What was asked of one place, in order. */
  asked(what: string): Call[] {
    return this.calls.filter((call) => `${call.method} ${call.path}` === what);
  }

  async answer(request: Request): Promise<Response> {
    const url = new URL(request.url);
    const text = await request.text();
    const call: Call = {
      method: request.method,
      path: decodeURIComponent(url.pathname),
      query: Object.fromEntries(url.searchParams),
      body: text.startsWith('{') ? (JSON.parse(text) as unknown) : text,
    };
    this.calls.push(call);
    const known = this.answers.get(`${call.method} ${call.path}`);
    if (known === undefined) throw new Error(`The test says nothing about ${call.method} ${call.path}.`);
    const answered = await known(call);
    // A list that comes in pages: a test says just its rows.
    const said =
      PAGED.includes(call.path) && Array.isArray(answered)
        ? { total: answered.length, from: 0, rows: answered as unknown[], nearly: false, hint: null }
        : answered;
    if (said instanceof Later)
      return new Response('{}', { status: 202, headers: { Location: `/api/readings/${said.id}` } });
    const refused = said instanceof Refused ? said : null;
    return new Response(
      JSON.stringify(refused ? { message: refused.message, errors: refused.errors, theirs: {} } : said),
      { status: refused?.status ?? 200, headers: { 'Content-Type': 'application/json' } },
    );
  }
}

export const server = new Server();
