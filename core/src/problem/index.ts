/** One thing that is wrong with what somebody handed in: where it stands and what would be right. */
export interface Fault {
  /** Where, as a path of keys from the root: "shots/0/lens/distance"; empty for the whole. */
  readonly path: string;
  /** What is wrong, and the limit that was missed, as a sentence without its place. */
  readonly message: string;
}

/** The input is malformed or out of its limits; `faults` names each place. */
export class BadInput extends Error {
  override readonly name = "BadInput";
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map(sentence).join(" "));
  }
}

/** The input is understood, but geometry gives it no answer; the message says why. */
export class NoAnswer extends Error {
  override readonly name = "NoAnswer";
}

/** A fault as one readable sentence, place first. */
export function sentence({ path, message }: Fault): string {
  return path ? `${path}: ${message}` : message;
}
