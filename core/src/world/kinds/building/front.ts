import { BadInput, NoAnswer, toldBy } from "../../../problem";
import { partsOf, sharesOf, type Part } from "../../../rhythm";
import { metres, sentence, type Told } from "../../../units";
import type { Floor } from "./floors";
import type { DoorLook, Front, Opens, OwnBay, WindowLook } from "./frontSchema";
import type { Extent } from "./heads";
import type { Building } from "./schema";

/** What bays may be called in a rhythm of them: what each has on the ground floor. */
export const BAY_NAMES = ["window", "door", "double", "shop", "gate", "bay", "blank"] as const;
export type BayName = (typeof BAY_NAMES)[number];

/** Windows and doors as they are usual, m (common practice). */
export const DEFAULT_WINDOWS: NonNullable<Building["windows"]> = { every: 2.4, width: 1.1, height: 1.2, sill: 0.9 };
export const DEFAULT_DOOR = { width: 0.95, height: 2.1 } as const;
const DEFAULT_LEAF = { reveal: 0.12, panels: 4 } as const;
const DOUBLE = { width: 1.6, height: 2.3 } as const;
const GATE = { width: 3, height: 3 } as const;
/** A shop window stands so high over the pavement, leaves so much beside it and over it, and has panes so wide, m. */
const SHOP = { sill: 0.5, beside: 0.25, over: 0.7, pane: 1.3, reveal: 0.15 } as const;
/** A bay window stands out by so much, m (common practice). */
const BAY_OUT = 0.6;
/** Beside its window, a face of a bay window has so much wall, m. */
export const ASIDE = 0.12;
/** So much of a wall stays at its ends, and between an opening and the floor over it, m. */
export const END = 0.2;
/** Clear height under an awning where none is said, m (common practice). */
export const CLEAR_UNDER = 2.2;
/** No opening is narrower than this, m. */
const NARROW = 0.1;
/** What reaches over a limit by less is on it, m. */
const SAME = 1e-9;
/** Blank wall at each end of a front where nothing is said, m. */
const ENDS = 0.4;

/** A bay: m along its wall, and what it has on the ground floor. */
export interface Bay {
  readonly from: number;
  readonly to: number;
  readonly name: BayName;
}

/** What an opening is. */
export type OpeningKind = "window" | "door";

/** What an opening is made of; a door may have two leaves, and be opened, in one of several ways. */
export type Look = Partial<Omit<WindowLook, "width" | "height" | "sill"> & Omit<DoorLook, "width" | "height">> & {
  readonly leaves?: 1 | 2;
  /** Of a window that stands out of its wall: by how much, m, and whether its cheeks are square to the wall. */
  readonly out?: number;
  readonly square?: boolean;
  readonly opens?: Opens;
  readonly open?: number;
  readonly clear?: number;
};

/** An opening in a wall: its extent in m along it and over its part's foot, and what it is made of. */
export interface Opening extends Extent {
  readonly kind: OpeningKind;
  readonly look: Look;
  /** Its place in the row of its storey, and that storey, from 0. */
  readonly index: number;
  readonly storey: number;
}

const isName = (name: string): name is BayName => (BAY_NAMES as readonly string[]).includes(name);

function nameOf({ name = "window" }: Part, at: number): BayName {
  if (isName(name)) return name;
  throw new BadInput([
    { path: "bays", message: `bay ${at + 1} is called "${name}": call bays ${BAY_NAMES.join(", ")}, or nothing.` },
  ]);
}

/**
 * The bays of a wall from left to right.
 * @throws BadInput for bays that cannot be read; NoAnswer where there is no room for the first
 */
export function baysOf({ bays, fit, ends = ENDS }: Front, long: number): readonly Bay[] {
  const room = Math.max(0, long - 2 * ends);
  const parts = partsOf(bays, "bays");
  const shares = sharesOf(parts, fit, room);
  const whole = Math.min(parts.length, shares.length - 1);
  return parts.slice(0, whole).map((part, i) => ({
    from: ends + room * shares[i],
    to: ends + room * shares[i + 1],
    name: nameOf(part, i),
  }));
}

/** The windows of a front where its own are not said: as large as the building's, or usual ones. */
export function windowOf({ window }: Front, { windows = DEFAULT_WINDOWS }: Pick<Building, "windows">): WindowLook {
  const { width, height, sill } = windows;
  return window ?? { width, height, sill, reveal: DEFAULT_LEAF.reveal };
}

/** The doors of a front, where nothing else is said of a bay. */
export const doorOf = ({ door }: Front): DoorLook => ({ ...DEFAULT_DOOR, ...DEFAULT_LEAF, ...door });

/** What a bay has by its rule: how it stands in its storey, and what it is made of. */
interface Ruled {
  readonly kind: OpeningKind;
  readonly width: number;
  readonly height: number;
  readonly sill: number;
  readonly look: Look;
}

function ruledWindow(front: Front, building: Pick<Building, "windows">): Ruled {
  const { width, height, sill, ...look } = windowOf(front, building);
  return { kind: "window", width, height, sill, look };
}

function ruledDoor(front: Front): Ruled {
  const { width, height, ...look } = doorOf(front);
  return { kind: "door", width, height, sill: 0, look };
}

/** What a bay of the ground floor has by its name. */
function onGround(front: Front, building: Pick<Building, "windows">, bay: Bay, floor: Floor): Ruled | null {
  const wide = bay.to - bay.from;
  const tall = floor.height - END;
  switch (bay.name) {
    case "blank":
      return null;
    case "window":
      return ruledWindow(front, building);
    case "bay": {
      const window = ruledWindow(front, building);
      return { ...window, look: { ...window.look, out: BAY_OUT } };
    }
    case "door":
      return ruledDoor(front);
    case "double": {
      const door = ruledDoor(front);
      const height = front.door?.height ?? DOUBLE.height;
      return { ...door, width: DOUBLE.width, height, look: { ...door.look, leaves: 2 } };
    }
    case "gate": {
      const size = { width: Math.min(GATE.width, wide - 2 * END), height: Math.min(GATE.height, tall) };
      return { kind: "door", ...size, sill: 0, look: { reveal: DEFAULT_LEAF.reveal, leaves: 2, panels: 1 } };
    }
    case "shop": {
      const width = wide - 2 * SHOP.beside;
      const height = Math.max(END, floor.height - SHOP.sill - SHOP.over);
      const across = Math.min(12, Math.max(1, Math.round(width / SHOP.pane)));
      return { kind: "window", width, height, sill: SHOP.sill, look: { reveal: SHOP.reveal, frame: 0.06, across } };
    }
  }
}

/** What a bay has once its own measures are put in the place of those of its rule. */
function changed(front: Front, building: Pick<Building, "windows">, ruled: Ruled | null, own?: OwnBay): Ruled | null {
  if (!own) return ruled;
  if (own.opening === "none") return null;
  const fresh = own.opening === "door" ? ruledDoor(front) : ruledWindow(front, building);
  const base = ruled && (own.opening === undefined || own.opening === ruled.kind) ? ruled : fresh;
  const {
    width = base.width,
    height = base.height,
    sill = base.sill,
    head,
    opens,
    open,
    clear,
    opaque,
    out,
    square,
  } = own;
  const look = {
    ...base.look,
    ...(head ? { head } : {}),
    ...(opens ? { opens } : {}),
    ...(open === undefined ? {} : { open }),
    ...(clear === undefined ? {} : { clear }),
    ...(opaque === undefined ? {} : { opaque }),
    ...(out === undefined ? {} : { out }),
    ...(square ? { square } : {}),
  };
  return { ...base, width, height, sill, look };
}

/** What a bay of a front has of its own; undefined where it follows its rule. */
export const ownBay = ({ own }: Front, bay: number, storey: number): OwnBay | undefined =>
  own?.find((one) => one.bay === bay && one.storey === storey);

/** The openings of a wall by its front, storey by storey; none is higher than its storey, unless that is said. */
export function openingsOfFront(
  front: Front,
  building: Pick<Building, "windows">,
  long: number,
  floors: readonly Floor[],
): readonly Opening[] {
  const bays = baysOf(front, long);
  const own = new Map(front.own?.map((one) => [`${one.storey} ${one.bay}`, one]));
  return floors.flatMap((floor, storey) =>
    bays.flatMap((bay, index): Opening[] => {
      const byRule = storey === 0 ? onGround(front, building, bay, floor) : upper(front, building, bay);
      const its = own.get(`${storey} ${index}`);
      const ruled = changed(front, building, byRule, its);
      if (!ruled) return [];
      const middle = (bay.from + bay.to) / 2 + (its?.by ?? 0);
      const low = floor.low + ruled.sill;
      const most = its?.height === undefined ? floor.height - END / 2 - ruled.sill : Infinity;
      const high = low + Math.min(ruled.height, most);
      if (high - low < END / 2) return [];
      const { kind, look, width } = ruled;
      return [{ kind, look, from: middle - width / 2, to: middle + width / 2, low, high, index, storey }];
    }),
  );
}

const upper = (front: Front, building: Pick<Building, "windows">, { name }: Bay): Ruled | null =>
  name === "blank" ? null : ruledWindow(front, building);

/** How a wall is that a front is laid on: its length and the depth of the building behind it, m, and its storeys. */
export interface FrontWall {
  readonly long: number;
  readonly deep: number;
  readonly floors: readonly Floor[];
}

/** Why a front does not fit its wall, and the field of it; null where it does. */
export function frontProblem(
  front: Front,
  building: Pick<Building, "windows">,
  wall: FrontWall,
): { readonly field: string; readonly message: Told } | null {
  try {
    const openings = openingsOfFront(front, building, wall.long, wall.floors);
    for (const opening of openings) {
      const message = openingProblem(opening, wall);
      if (message) return { field: "own", message };
    }
    const crowded = openings.find((one, i) => runsInto(one, openings[i + 1]));
    if (crowded)
      return {
        field: "bays",
        message:
          `has a ${crowded.kind} in ${whereOf(crowded)} that runs into the next one: ` +
          "make them narrower, or fewer.",
      };
    return awningProblem(front, wall);
  } catch (error) {
    if (error instanceof BadInput || error instanceof NoAnswer) return { field: "bays", message: toldBy(error) };
    throw error;
  }
}

const whereOf = ({ index, storey }: Opening): string => `bay ${index + 1} of storey ${storey + 1}`;

/** Where a window that stands out leaves its wall, and where its front begins and ends, m along the wall. */
export interface BayExtent {
  readonly base: readonly [from: number, to: number];
  readonly front: readonly [from: number, to: number];
}

export function extentOfBay({ from, to, look }: Opening): BayExtent {
  const [a, b] = [from - ASIDE, to + ASIDE];
  const cant = look.square ? 0 : (look.out ?? 0);
  return { base: [a - cant, b + cant], front: [a, b] };
}

/** What an opening takes of its wall, m along it. */
const takenBy = (opening: Opening): readonly [number, number] =>
  opening.look.out ? extentOfBay(opening).base : [opening.from, opening.to];

const runsInto = (one: Opening, next: Opening | undefined): boolean =>
  next?.storey === one.storey && takenBy(next)[0] < takenBy(one)[1] - SAME;

/** Why the awnings of a front cannot hang on its wall, and the field; null where they can. */
function awningProblem({ awning }: Front, { floors }: FrontWall) {
  const { low, height } = floors[floors.length - 1];
  return awning && (awning.over ?? CLEAR_UNDER) + awning.drop > low + height
    ? { field: "awning/drop", message: "leads up over the eaves." }
    : null;
}

/** Why an opening cannot be in its wall; null where it can. */
function openingProblem(opening: Opening, { long, deep, floors }: FrontWall): Told | null {
  const { kind, from, to, low, high, look } = opening;
  const top = floors[floors.length - 1];
  const where = `has a ${kind} in ${whereOf(opening)} that`;
  if (to - from < NARROW) return sentence`${where} has no room: its bay is too narrow.`;
  if (to - from > long) return sentence`${where} is wider than its wall, ${metres(long)}.`;
  const [left, right] = takenBy(opening);
  if (left < -SAME || right > long + SAME) return sentence`${where} reaches over the corner of its wall.`;
  if (high > top.low + top.height + SAME) return sentence`${where} reaches over the eaves.`;
  if (low < -SAME) return sentence`${where} reaches below the foot of its wall.`;
  if ((look.reveal ?? 0) > deep / 2)
    return sentence`${where} is deeper than half of the building, ${metres(deep / 2)}.`;
  return null;
}
