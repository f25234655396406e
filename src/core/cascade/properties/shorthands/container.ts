import { splitAt } from "../../../source/css/components";
import type { Shorthand } from "../types";

/** CSS Conditional 5, 3.3: name, then type behind a slash. */
export const container: Shorthand = {
  name: "container",
  longhands: ["container-name", "container-type"],
  expand: (value) => {
    const [names, type, more] = splitAt(value, "/");
    if (!names?.length || more || (type && type.length !== 1)) return null;
    return { "container-name": names, ...(type ? { "container-type": type } : {}) };
  },
};
