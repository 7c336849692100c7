import type { Make } from "../assembly/sort";
import type { Part } from "../layout/cut-list";
import { Step, stepOf as step, TIME } from "./step";

/** What is done with the parts of one make, how many rounds of glue that takes. */
interface Made {
  rounds: number;
  title: (names: string) => string;
  detail: string;
}
const MADE: Record<Make, Made> = {
  solid: { rounds: 0, title: () => "", detail: "" },
  laminated: {
    rounds: 1,
    title: (names) => `Glue the ${names} from two leaves`,
    detail: "Best faces out; true them square when the glue is dry.",
  },
  "three-leaves": leaves("three"),
  "four-leaves": leaves("four"),
  diagonal: {
    rounds: 1,
    title: (names) => `Glue the ${names} from two boards and saw them at 45°`,
    detail: "Show faces out, rings mirrored; the saw at 45° takes the corners off when the glue is dry.",
  },
  "core-faces": {
    rounds: 2,
    title: (names) => `Glue the faces of the ${names} round their cores`,
    detail:
      "Resaw and letter the faces; two on opposite sides first, trimmed flush and both glued sides planed true, then the other two.",
  },
};

/** All lines of a stack at once. */
function leaves(count: string): Made {
  return {
    rounds: 1,
    title: (names) => `Glue the ${names} from ${count} leaves`,
    detail:
      "All lines at once with slow glue, best faces out, rings mirrored at each; true them square when the glue is dry.",
  };
}

/** Thick leaves want a clamp about every hand’s breadth and a half along each part, mm. @source common practice: 100 to 150 */
const EVERY = 125;
const clampsOn = ({ finished }: Part) => Math.ceil(finished.length / EVERY) + 1;

/** Thick parts from leaves, by how they are made: one step, since they stand in the same clamps. @param parts  of more than one piece each */
export function blankStep(parts: readonly Part[], clampHours: number): Step {
  const makes = [...new Set(parts.map((part) => part.make))];
  const said = makes.map((make) => MADE[make].title(named(parts.filter((part) => part.make === make))));
  const most = Math.max(...parts.map(clampsOn));
  const rounds = Math.max(...makes.map((make) => MADE[make].rounds));
  return step({
    id: "laminate",
    title: said.map((each, i) => (i === 0 ? each : each[0].toLowerCase() + each.slice(1))).join("; "),
    detail: `${makes.map((make) => MADE[make].detail).join(" ")} ${most} clamps on each, jaws on blocks as wide as the part.`,
    parts: parts.map((part) => part.id),
    after: ["mill"],
    hours: 2 * rounds,
    wait: rounds * TIME.seam,
    waitFor: "the seams to stop sinking",
    clamps: parts.reduce((sum, part) => sum + part.count * clampsOn(part), 0),
    clampHours: rounds * clampHours,
  });
}

/** Kinds of part in a sentence: "legs", "posts and feet". */
function named(parts: readonly Part[]): string {
  const names = parts.map((part) => (part.plural ?? `${part.name}s`).toLowerCase());
  return names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
}
