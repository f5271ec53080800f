import { onCubic, scale, type Interval, type Vec3 } from "../geometry";
import { type Bend, DETAIL_KINDS, LEVELS, type EdgeDetail } from "../world";
import { joined, NOTHING_VISIBLE, type EdgeClass, type Stretches, type VisibleEdges } from "./visibleEdges";

/** The first of a row is drawn before all others of it. */
const FIRST = 31;

/** How often the place in a row can be halved: of the first, as often as that of any. */
const rankOf = (index: number): number => (index === 0 ? FIRST : FIRST - Math.clz32(index & -index));

/** What a stretch of a detail is drawn as, and what it is a line of where that is not said: itself. */
interface AsDetail {
  readonly of: EdgeDetail;
  readonly own: object;
}

/** Stretches whose items are numbered by themselves, from 1: the things that they are lines of, in that order. */
export interface OwnStretches extends Stretches {
  readonly things: readonly object[];
}

/** Stretches that are gathered. */
export class Gathered {
  private readonly ends: number[] = [];
  private bends: number[] | undefined;
  private readonly edgeClass: number[] = [];
  private readonly detail: number[] = [];
  private readonly item: number[] = [];
  private readonly rank: number[] = [];
  private readonly numbers = new Map<object, number>();

  push(a: Vec3, b: Vec3, stretches: readonly Interval[], as: EdgeClass, detail?: AsDetail, bend?: Bend): void {
    if (stretches.length === 0) return;
    const [kind, item, rank] = detail ? this.numbered(detail) : [0, 0, 0];
    if (bend) this.bends ??= this.ends.map(() => 0);
    for (const [t0, t1] of stretches) {
      if (bend) this.putCurved(a, b, bend, t0, t1);
      else this.putStraight(a, b, t0, t1);
      this.edgeClass.push(as);
      this.detail.push(kind);
      this.item.push(item);
      this.rank.push(rank);
    }
  }

  private putStraight(a: Vec3, b: Vec3, t0: number, t1: number): void {
    for (const t of [t0, t1])
      for (const axis of [0, 1, 2]) this.ends.push(t === 1 ? b[axis] : a[axis] + t * (b[axis] - a[axis]));
    this.bends?.push(0, 0, 0, 0, 0, 0);
  }

  private putCurved(a: Vec3, b: Vec3, bend: Bend, t0: number, t1: number): void {
    for (const t of [t0, t1]) {
      const { at, way } = onCubic(a, b, ...bend, t);
      this.ends.push(...at);
      this.bends!.push(...scale(way, t1 - t0));
    }
  }

  private numbered({ of: { kind, item, level = 0 }, own }: AsDetail): readonly [number, number, number] {
    const thing = item ?? own;
    let number = this.numbers.get(thing);
    if (number === undefined) this.numbers.set(thing, (number = this.numbers.size + 1));
    const at = DETAIL_KINDS.findIndex(({ id }) => id === kind);
    return [at, LEVELS * number + level, item ? rankOf(item.index) : 0];
  }

  done(): OwnStretches {
    return {
      ends: Float64Array.from(this.ends),
      bends: this.bends && Float64Array.from(this.bends),
      edgeClass: Uint8Array.from(this.edgeClass),
      detail: Uint8Array.from(this.detail),
      item: Uint32Array.from(this.item),
      rank: Uint8Array.from(this.rank),
      things: [...this.numbers.keys()],
    };
  }
}

/** The stretches of several solids, until they are handed out: what they are lines of is numbered as it comes. */
export class Parts {
  private all: VisibleEdges[] = [];
  private readonly numbers = new Map<object, number>();
  /** Edges and details looked at since the last time. */
  looked = 0;

  constructor(private readonly boxes: Float64Array) {}

  add(solid: number, { things, ...own }: OwnStretches): void {
    if (own.edgeClass.length === 0) return;
    const numbers = things.map((thing) => {
      let number = this.numbers.get(thing);
      if (number === undefined) this.numbers.set(thing, (number = this.numbers.size + 1));
      return number;
    });
    const item = own.item.map((at) => (at === 0 ? 0 : LEVELS * numbers[Math.floor(at / LEVELS) - 1] + (at % LEVELS)));
    this.all.push({ ...NOTHING_VISIBLE, ...own, item, solid: new Uint32Array(item.length).fill(solid) });
  }

  /** @param faces those that the eye looks at: they come with the last part */
  handOut(faces?: Pick<VisibleEdges, "faces" | "faceStarts" | "areas">): VisibleEdges {
    const last = { ...NOTHING_VISIBLE, boxes: this.boxes, ...faces, whole: faces !== undefined };
    const parts = joined([...this.all, last]);
    [this.all, this.looked] = [[], 0];
    return parts;
  }
}
