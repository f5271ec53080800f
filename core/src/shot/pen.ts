import { clipToRect, contains, type Rect, type Vec2 } from "../geometry";
import type { CurveBook } from "./book";

/** A place of a curve on its way to the sheet: its parameter and its picture, sheet mm; null where it has none. */
export interface Spot {
  readonly t: number;
  readonly place: Vec2 | null;
}

/** Writes a curve into a book chord by chord, each cut at the panel. */
export class Pen<S extends Spot> {
  private open = false;

  /**
   * @param between the spot at a share of the way from one to another
   * @param velocityAt the velocity of the picture at a spot, mm
   */
  constructor(
    private readonly frame: Rect,
    private readonly book: CurveBook,
    private readonly between: (from: S, to: S, share: number) => S,
    private readonly velocityAt: (spot: S) => Vec2,
  ) {}

  /** Lifts the pen: what follows is a curve of its own. */
  lift(): void {
    this.open = false;
  }

  chord(from: S, to: S): void {
    const { frame } = this;
    const [a, b] = [from.place, to.place];
    if (!a || !b) this.open = false;
    else if (contains(frame, a) && contains(frame, b)) {
      if (!this.open) this.begin(from);
      this.put(to);
      this.open = true;
    } else {
      const range = clipToRect(a, [b[0] - a[0], b[1] - a[1]], frame, [0, 1]);
      if (range) {
        if (!this.open || range[0] > 0) this.begin(this.cut(from, to, range[0]));
        this.put(this.cut(from, to, range[1]));
      }
      this.open = range?.[1] === 1;
    }
  }

  private cut(from: S, to: S, share: number): S {
    return share === 0 ? from : share === 1 ? to : this.between(from, to, share);
  }

  private begin(spot: S): void {
    this.book.begin();
    this.put(spot);
  }

  private put(spot: S): void {
    if (!spot.place) return;
    const [vx, vy] = this.velocityAt(spot);
    this.book.add(spot.place[0], spot.place[1], vx, vy, spot.t);
  }
}
