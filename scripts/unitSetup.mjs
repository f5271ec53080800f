// Before the unit tests: programs that some of them start, built where a source is newer than what was built.
import { build } from "./build.mjs";

export default () => build({ web: false });
