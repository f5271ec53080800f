import type { Static } from "@sinclair/typebox";
import { degreesIn, Id, metresIn, named, offered, Raised, Size, strict, Type } from "../../../fields";
import { FITS, type Fit } from "../../../rhythm";

/** The heads of openings, as they are called. */
export const HEADS = {
  flat: "Flat",
  segmental: "Segmental",
  round: "Round arch",
  basket: "Basket arch",
  pointed: "Pointed arch",
  circle: "Round window",
} as const;
export type Head = keyof typeof HEADS;

/** How doors open, as it is called. */
export const OPENS = { inwards: "Inwards", outwards: "Outwards", slides: "Slides aside", rolls: "Rolls up" } as const;
export type Opens = keyof typeof OPENS;

const oneOf = <T extends string>(words: readonly T[]) => Type.Unsafe<T>({ type: "string", enum: [...words] });

const Head = named("Head", oneOf(Object.keys(HEADS) as Head[]));
const Panes = Type.Integer({ minimum: 1, maximum: 12 });

/** What any opening is made of: lengths in m. */
const LOOK = {
  head: Type.Optional(Head),
  /** How far behind the wall its pane or its leaf lies: 0.10 to 0.25 m are usual (common practice). */
  reveal: Type.Optional(named("Reveal", offered(0, 0.6, metresIn({ minimum: 0, maximum: 5 })))),
  frame: Type.Optional(named("Width of its frame", offered(0.02, 0.3, Size))),
  /** The height of the band over its head. */
  lintel: Type.Optional(named("Lintel", offered(0.05, 1, Size))),
  /** That band is of so many stones, the middle one may stand up out of it, and others may lie at its ends. */
  voussoirs: Type.Optional(named("Stones of its arch", Type.Integer({ minimum: 3, maximum: 61 }))),
  keystone: Type.Optional(Type.Boolean()),
  imposts: Type.Optional(Type.Boolean()),
};
const [Width, Height] = [named("Width", Size), named("Height", Size)];

const WindowSchema = strict({
  width: Width,
  height: Height,
  sill: named("Sill over the floor", Raised),
  ...LOOK,
  across: Type.Optional(named("Panes across", Panes)),
  up: Type.Optional(named("Panes up", Panes)),
  /** The height of the band under it. */
  ledge: Type.Optional(named("Sill band", offered(0.03, 0.5, Size))),
  shutters: Type.Optional(Type.Boolean()),
  /** Nothing is seen through its glass. */
  opaque: Type.Optional(Type.Boolean()),
});

const DoorSchema = strict({
  width: Width,
  height: Height,
  ...LOOK,
  panels: Type.Optional(named("Panels in a leaf", Type.Integer({ minimum: 0, maximum: 12 }))),
  /** The height of the light over its leaves. */
  fanlight: Type.Optional(named("Fanlight", offered(0.1, 2, Size))),
});

/** What a bay has in place of what its rule gives it; lengths in m, `by` along the wall from the middle of its bay. */
const OwnSchema = strict({
  bay: Type.Integer({ minimum: 0, maximum: 499 }),
  storey: Type.Integer({ minimum: 0, maximum: 299 }),
  opening: Type.Optional(oneOf(["window", "door", "none"])),
  by: Type.Optional(named("Off its bay’s middle", offered(-100, 100, metresIn({ minimum: -1e4, maximum: 1e4 })))),
  width: Type.Optional(Width),
  height: Type.Optional(Height),
  sill: Type.Optional(named("Sill over the floor", Raised)),
  head: Type.Optional(Head),
  /** How its door opens: its leaves turn inwards where nothing is said. */
  opens: Type.Optional(oneOf(Object.keys(OPENS) as Opens[])),
  /** How far leaves that turn are opened, degrees; 0 and where nothing is said, they are shut. */
  open: Type.Optional(named("Opened by", degreesIn({ minimum: 0, maximum: 170 }))),
  /** How much of what slides or rolls up is open, of a hundred. */
  clear: Type.Optional(named("Opened, of 100", Type.Number({ minimum: 0, maximum: 100 }))),
  /** Nothing is seen through its glass; false where its front says so of all, and it is clear. */
  opaque: Type.Optional(Type.Boolean()),
  /** Steps lead up to it from the ground. */
  steps: Type.Optional(Type.Boolean()),
  /** Its window stands out of the wall by so much, m, with slanting cheeks or square ones; 0 where it does not. */
  out: Type.Optional(named("Stands out by", offered(0, 1.5, metresIn({ minimum: 0, maximum: 3 })))),
  square: Type.Optional(Type.Boolean()),
  /** It has a balcony before it. */
  balcony: Type.Optional(Type.Boolean()),
});

/** A cloth over each shop: how far it reaches out, how much it falls, and what it leaves clear under it, m. */
const AwningSchema = strict({
  out: named("Reaches out by", offered(0.3, 4, Size)),
  drop: named("Falls by", offered(0.05, 3, Size)),
  over: Type.Optional(named("Clear under it", offered(1, 6, Size))),
});

/** The front of one wall, by rule: its bays from left to right as one stands before it, the same in every storey. */
export const FrontSchema = strict({
  /** The side of the footprint, from 0. */
  side: Type.Integer({ minimum: 0, maximum: 12_000 }),
  /** How many bays, or a rhythm of them; their names say what they have on the ground. */
  bays: named("Bays", Type.String({ minLength: 1, maxLength: 1000 })),
  fit: Type.Optional(oneOf<Fit>(FITS)),
  /** So much at each end of the wall is no bay. */
  ends: Type.Optional(named("Blank at its ends", Raised)),
  window: Type.Optional(WindowSchema),
  door: Type.Optional(DoorSchema),
  awning: Type.Optional(AwningSchema),
  own: Type.Optional(Type.Array(OwnSchema, { maxItems: 2000 })),
  /** The kit that it was put up from. */
  kit: Type.Optional(Id),
});

export type WindowLook = Static<typeof WindowSchema>;
export type DoorLook = Static<typeof DoorSchema>;
export type OwnBay = Static<typeof OwnSchema>;
export type Front = Static<typeof FrontSchema>;
