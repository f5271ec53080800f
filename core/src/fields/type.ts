import {
  Array as ArrayOf,
  Boolean,
  Integer,
  Literal,
  Number,
  Object,
  Optional,
  Record,
  String,
  Tuple,
  Unsafe,
} from "@sinclair/typebox";

/** What schemas are built of: only what is used of the builder, since all of it would be shipped with every page. */
export const Type = {
  Array: ArrayOf,
  Boolean,
  Integer,
  Literal,
  Number,
  Object,
  Optional,
  Record,
  String,
  Tuple,
  Unsafe,
} as const;
