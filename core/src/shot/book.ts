/**
 * Curves on the sheet. Curve i has its vertices from `starts[i]` to the next start: places (x y, mm), each exactly on
 * the curve, the velocity of the curve there, and the parameter that this velocity is by; the chords between are within
 * the tolerance of it.
 */
export interface Curves {
  readonly xy: Float64Array;
  readonly velocity: Float64Array;
  readonly t: Float64Array;
  /** One more than there are curves: the last is the number of vertices. */
  readonly starts: Uint32Array;
}

const grown = (from: Float64Array): Float64Array<ArrayBuffer> => {
  const to = new Float64Array(2 * from.length);
  to.set(from);
  return to;
};

/** Gathers curves. */
export class CurveBook {
  #xy = new Float64Array(512);
  #velocity = new Float64Array(512);
  #t = new Float64Array(256);
  #count = 0;
  readonly #starts: number[] = [];

  begin(): void {
    this.#starts.push(this.#count);
  }

  add(x: number, y: number, vx: number, vy: number, t: number): void {
    const n = this.#count++;
    if (n === this.#t.length)
      [this.#xy, this.#velocity, this.#t] = [grown(this.#xy), grown(this.#velocity), grown(this.#t)];
    this.#xy[2 * n] = x;
    this.#xy[2 * n + 1] = y;
    this.#velocity[2 * n] = vx;
    this.#velocity[2 * n + 1] = vy;
    this.#t[n] = t;
  }

  curves(): Curves {
    const n = this.#count;
    return {
      xy: this.#xy.slice(0, 2 * n),
      velocity: this.#velocity.slice(0, 2 * n),
      t: this.#t.slice(0, n),
      starts: Uint32Array.from([...this.#starts, n]),
    };
  }
}
