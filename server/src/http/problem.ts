import { BadInput, NoAnswer, type ValidationError } from "@zanvo/core/problem";
import type { ErrorRequestHandler, RequestHandler, Response } from "express";
import { codeOf, Damaged, isBusy, isDiskError, isFull, NotCommitted, NotFound, Stale, textOf } from "@zanvo/store";
import { Busy, Cancelled, TooHeavy } from "../jobs";

/** A request that was refused before its content was looked at. */
export class Refused extends Error {
  override readonly name = "Refused";
  constructor(
    readonly status: number,
    message: string,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    super(message);
  }
}

/**
 * A stored document that this program cannot read; it can be downloaded, restored from an earlier version, or
 * deleted.
 */
export class Unreadable extends Error {
  override readonly name = "Unreadable";
}

const TITLES: Readonly<Record<number, string>> = {
  400: "The input is wrong",
  401: "A key is needed",
  403: "Not allowed",
  404: "Not found",
  405: "Not possible here",
  409: "There is no answer",
  412: "Saved elsewhere since",
  413: "Too large",
  415: "Not JSON",
  421: "Wrong address",
  422: "The document cannot be read",
  428: "A version is needed",
  429: "Too much at once",
  500: "Something broke",
  503: "Not now",
  507: "No room left",
};

interface More {
  readonly errors?: readonly ValidationError[];
  /** Further members, as JSON text. */
  readonly raw?: Readonly<Record<string, string>>;
}

/** Problem details (RFC 9457) as JSON text. */
export function problem(status: number, detail: string, { errors, raw = {} }: More = {}): string {
  const told = JSON.stringify({ type: "about:blank", title: TITLES[status] ?? TITLES[500], status, detail, errors });
  return `${told.slice(0, -1)}${Object.entries(raw)
    .map(([key, json]) => `,${JSON.stringify(key)}:${json}`)
    .join("")}}`;
}

/** Sends an error as problem details; none is ever kept by a cache. */
export function sendProblem(res: Response, status: number, detail: string, more: More = {}): void {
  res
    .status(status)
    .set("Cache-Control", "no-store")
    .type("application/problem+json")
    .send(problem(status, detail, more));
}

/** Sends what stands there now, for whoever changed an older version. */
async function sendStale(res: Response, { current, message }: Stale): Promise<void> {
  const document = await textOf(current).catch(() => "null");
  res.set("ETag", `"${current.card.revision}"`);
  sendProblem(res, 412, message, {
    raw: { current: `${JSON.stringify(current.card).slice(0, -1)},"document":${document}}` },
  });
}

type Known = readonly [is: (error: Error) => boolean, status: number, detail?: string];
const is = (kind: new (...args: never[]) => Error) => (error: Error) => error instanceof kind;

/** Which error is answered how; without a sentence here, with its own. */
const KNOWN: readonly Known[] = [
  [is(NoAnswer), 409],
  [is(NotFound), 404],
  [is(Unreadable), 422],
  [is(Damaged), 422],
  [is(TooHeavy), 503],
  [is(Busy), 503],
  [
    isFull,
    507,
    "The disk is full: nothing was saved, and what was stored before is unharmed. Make room and try again.",
  ],
  [isBusy, 503, "Another program holds the database. Nothing was changed; try again in a moment."],
  [
    isDiskError,
    507,
    "The disk could not be read or written. What was not confirmed is not saved; what was stored before is unharmed.",
  ],
  [is(NotCommitted), 503, "It could not be confirmed that this was saved, so it counts as not saved. Try again."],
];

interface Thrown extends Error {
  readonly status?: number;
  readonly type?: string;
  readonly limit?: number;
}

/** Turns everything that is thrown in a handler into one sentence with the right status. */
export const onError: ErrorRequestHandler = async (error: Thrown, req, res, next) => {
  // Whoever has gone is not answered.
  if (res.headersSent || error instanceof Cancelled || codeOf(error) === "ECONNABORTED") return void res.destroy();
  res.removeHeader("ETag");
  if (error instanceof Stale) return sendStale(res, error);
  if (error instanceof BadInput) return sendProblem(res, 400, error.message, { errors: error.errors });
  if (error instanceof Refused) return sendProblem(res.set(error.headers), error.status, error.message);
  const [, status, detail] = KNOWN.find(([fits]) => fits(error)) ?? [];
  if (status === 503 || status === 507) res.set("Retry-After", "2");
  if (status) return sendProblem(res, status, detail ?? error.message);
  if (error.type === "entity.too.large") {
    return sendProblem(
      res,
      413,
      `This is larger than ${Math.round((error.limit ?? 0) / 2 ** 20)} MB, the most that is taken here; nothing ` +
        "was saved.",
    );
  }
  if (error.status && error.status < 500) {
    return sendProblem(
      res,
      error.status,
      error.status === 404 ? "There is nothing at this address." : "The request could not be read.",
    );
  }
  req.log.error(error);
  sendProblem(res, 500, "Something went wrong here; nothing was changed.");
  return next;
};

/** Refuses every method of an address that none of its handlers took. */
export const onlyMethods =
  (...methods: readonly string[]): RequestHandler =>
  (req) => {
    throw new Refused(
      405,
      `${req.method} is not possible here; ${methods.join(", ")} ${methods.length > 1 ? "are" : "is"}.`,
      { Allow: methods.join(", ") },
    );
  };
