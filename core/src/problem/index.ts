import { inMetric, type Told } from "../units";

/** One thing that is wrong with what somebody handed in: where it stands and what would be right. */
export interface ValidationError {
  /** Where, as a path of keys from the root: "shots/0/lens/distance"; empty for the whole. */
  readonly path: string;
  /** What is wrong, and the limit that was missed, as a sentence without its place. */
  readonly message: string;
}

/** The input is malformed or out of its limits; `errors` names each place. */
export class BadInput extends Error {
  override readonly name = "BadInput";
  constructor(readonly errors: readonly ValidationError[]) {
    super(errors.map(sentence).join(" "));
  }
}

/** An error whose sentence may carry lengths as values; its message has them in millimetres and metres. */
export class ToldError extends Error {
  constructor(readonly told: Told) {
    super(inMetric(told));
  }
}

/** The input is understood, but geometry gives it no answer; the sentence says why. */
export class NoAnswer extends ToldError {
  override readonly name = "NoAnswer";
}

/** What is worked out; nothing where the input is wrong or has no answer, and another place says why. */
export function orNothing<T>(work: () => T[]): T[] {
  try {
    return work();
  } catch (error) {
    if (error instanceof NoAnswer || error instanceof BadInput) return [];
    throw error;
  }
}

/** What an error tells, with its lengths as values where it carries them. */
export const toldBy = (error: unknown): Told => (error instanceof ToldError ? error.told : (error as Error).message);

/** A validation error as one readable sentence, place first. */
export function sentence({ path, message }: ValidationError): string {
  return path ? `${path}: ${message}` : message;
}
