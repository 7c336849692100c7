import type { Make } from "../assembly/sort";
import type { Part } from "../layout/cut-list";
import { CORE_EXTRA, FACE } from "../layout/leg-stock";
import { woodOf, Woods } from "../wood/woods";
import { GlueFacts, GluePiece, GlueStage, glueStage } from "./stages";

/** One gluing of a blank: what is added to its name, the layers from one side to the other, and how wide the lines between them are. mm */
interface Round {
  id: string;
  name: string;
  layers: { suffix: string; thickness: number }[];
  across: number;
}

const leaves = (part: Part, said: string): Round[] => [
  {
    id: "",
    name: ` ${said}`,
    layers: part.stock.map(({ suffix, thickness }) => ({ suffix, thickness })),
    across: part.stock[0].width,
  },
];

/** How a blank of each make goes together: in one, or a core in two, its second pair of faces over the first. */
const ROUNDS: Record<Make, (part: Part) => Round[]> = {
  solid: () => [],
  laminated: (part) => leaves(part, `from ${part.stock.length} leaves`),
  "three-leaves": (part) => leaves(part, `from ${part.stock.length} leaves`),
  "four-leaves": (part) => leaves(part, `from ${part.stock.length} leaves`),
  diagonal: (part) => leaves(part, "from two boards, to be sawn at 45°"),
  "core-faces": (part) => {
    const [core, face] = part.stock;
    const leaf = (suffix: string) => ({ suffix, thickness: FACE.thickness });
    return [
      {
        id: "-first",
        name: ": two faces on the core",
        layers: [leaf("fa"), { suffix: core.suffix, thickness: core.thickness }, leaf("fb")],
        across: core.width,
      },
      {
        id: "-second",
        name: ": the other two over them",
        // trimmed flush, the core true to its faces
        layers: [leaf("ga"), { suffix: core.suffix, thickness: core.thickness - CORE_EXTRA }, leaf("gb")],
        across: face.width,
      },
    ];
  },
};

/**
 * The gluings of thick parts from leaves, face to face, those of each kind one after the other.
 *
 * @param parts  the cut list; solid ones and panels have none here
 */
export function blankStages(parts: readonly Part[], facts: GlueFacts, woods: Woods): GlueStage[] {
  return parts.flatMap((part) =>
    ROUNDS[part.make](part).map(({ id, name, layers, across }): GlueStage => {
      let from = 0;
      const groups = layers.map(({ suffix, thickness }): GluePiece[] => {
        const piece = { id: `${part.marks[0]}${suffix}`, from, full: thickness };
        from += thickness;
        return [piece];
      });
      return glueStage(
        {
          id: `blank-${part.id}${id}`,
          name: `${part.name}${name}, ${part.count} times`,
          thickness: across,
          length: part.finished.length,
          aids: [],
          groups,
        },
        { ...facts, species: woodOf(woods, part.id, facts.species) },
      );
    }),
  );
}
