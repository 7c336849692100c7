/** Third of the list: what the parts weigh where they stand. */
import { densityIn } from "../assembly/strips";
import { massOf, ROUGH, unplaced, weighed } from "../assembly/weight";
import { woodOf } from "../wood/woods";
import { JOINED } from "./joined";

export const WEIGHED = JOINED.items(
  "unplaced",
  "form",
  ({ assembled }) => ({ parts: assembled }),
  ({ parts }) => parts.map(unplaced),
)
  .each(
    "bodies",
    "form",
    ({ unplaced: parts }) => [parts, {}],
    (part) => weighed(part, ROUGH),
  )
  .stage(
    "weight",
    "form",
    ({ bodies, species, woods }) => ({ bodies, usual: species, woods }),
    ({ bodies, usual, woods }) =>
      [...bodies].reduce(
        (sum, [part, { volume }]) =>
          // what is laid away does not stand
          sum +
          (part.away
            ? 0
            : massOf(
                part,
                volume,
                densityIn(part, (kind) => woodOf(woods, kind, usual).density),
              )),
        0,
      ),
  )
  .otherwise(0);
