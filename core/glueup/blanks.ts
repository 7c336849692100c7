import type { Part } from "../layout/cut-list";
import { woodOf, Woods } from "../wood/woods";
import { GlueFacts, GluePiece, GlueStage, glueStage } from "./stages";

/**
 * The gluings of thick parts from leaves, one for each kind: face to face, so that the line is as wide as the part.
 *
 * @param parts  the cut list; solid ones and panels have none here
 */
export function blankStages(parts: readonly Part[], facts: GlueFacts, woods: Woods): GlueStage[] {
  return parts
    .filter((part) => part.make === "laminated" && part.stock.length > 1)
    .map((part) => {
      let from = 0;
      const groups = part.stock.map((leaf): GluePiece[] => {
        const piece = { id: `${part.marks[0]}${leaf.suffix}`, from, full: leaf.thickness };
        from += leaf.thickness;
        return [piece];
      });
      return glueStage(
        {
          id: `blank-${part.id}`,
          name: `${part.name} from ${part.stock.length} leaves, ${part.count} times`,
          thickness: part.stock[0].width,
          length: part.finished.length,
          aids: [],
          groups,
        },
        { ...facts, species: woodOf(woods, part.id, facts.species) },
      );
    });
}
