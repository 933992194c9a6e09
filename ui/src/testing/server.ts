/** What the made-up server answers: data, a refusal, or nothing for now. */
type Answer = object | typeof NEVER | ((body: unknown, asked: SeenRequest) => object);

/** An answer that stays on its way. */
export const NEVER = Symbol('never');

/** A refusal with its status. */
export class Refused {
  constructor(
    readonly status: number,
    readonly problem: object,
  ) {}
}

/** Thrown by what answers: the link is cut. */
export class Cut extends TypeError {}

/** What was asked. */
export interface SeenRequest {
  call: string;
  query: string;
  body: unknown;
  headers: Headers;
}

let answers: Record<string, Answer> = {};

/** All that was asked since the server was set up. */
export const asked: SeenRequest[] = [];

/** Sets up what is answered, by method and path such as `GET /api/gear`. */
export function serve(wanted: Record<string, Answer>) {
  answers = wanted;
  asked.length = 0;
}

/** The bodies of all calls of a kind, in their order. */
export const bodies = (call: string) => asked.filter((a) => a.call === call).map((a) => a.body);

export async function answer(request: Request): Promise<Response> {
  const url = new URL(request.url);
  const call = `${request.method} ${url.pathname}`;
  const text = await request.text();
  const isJson = request.headers.get('Content-Type') === 'application/json';
  const body: unknown = text === '' ? null : isJson ? JSON.parse(text) : text;
  const now = { call, query: url.search, body, headers: request.headers };
  asked.push(now);
  const wanted = answers[call];
  if (wanted === NEVER) {
    return new Promise(() => undefined);
  }
  if (wanted === undefined) {
    return Response.json({ detail: `nothing is served at ${call}` }, { status: 404 });
  }
  const given = await (typeof wanted === 'function' ? wanted(body, now) : (wanted as object));
  return given instanceof Refused
    ? Response.json(given.problem, { status: given.status })
    : Response.json(given);
}
