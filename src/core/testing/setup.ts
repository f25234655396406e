/** Properties that say nothing themselves of how often they are tried. */
import fc from "fast-check";
import { runs } from "./runs";

fc.configureGlobal(runs(100));
