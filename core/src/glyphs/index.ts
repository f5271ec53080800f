export { contoursOf, isOutline, OUTLINE_PATTERN, UNIT } from "./outline";
