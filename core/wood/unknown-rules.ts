/** A wood that no library knows can't be planned truly: that is said, never covered up by another. */
import { differing, KindChoice } from "../piece/kinds";
import { set, Verdict, verdict } from "../verdict/verdict";
import { findSpecies, SPECIES, Species } from "./species";

/** What stands in for a wood that is not known, so that the rest of a plan can be looked at. */
export const STAND_IN = SPECIES[0];

interface WoodFacts {
  species: string;
  kinds: Record<string, KindChoice>;
  own: readonly Species[];
}

/** Woods of a piece that neither the library nor the shop's own species know, by what they are asked for. */
export const unknownWoods = ({ species, kinds, own }: WoodFacts): { of: string; path: string[]; id: string }[] =>
  [
    { of: "the piece", path: ["species"], id: species },
    ...differing({ kinds }).flatMap(([kind, choice]) =>
      choice.species === null
        ? []
        : [{ of: `the ${kind.replaceAll("-", " ")}`, path: ["kinds", kind, "species"], id: choice.species }],
    ),
  ].filter(({ id }) => findSpecies(id, own) === null);

export const WOOD_RULES: ((facts: WoodFacts) => Verdict | null)[] = [
  (facts) => {
    const [first, ...more] = unknownWoods(facts);
    if (!first) return null;
    return verdict({
      id: "form.species",
      stage: "form",
      subject: [],
      level: "fix",
      text: `The wood of ${first.of}, ${first.id}, is not known here`,
      why: `Weight, movement and boards are reckoned as if it were ${STAND_IN.name.toLowerCase()}, which it is not${more.length > 0 ? `; nor are ${more.map(({ id }) => id).join(", ")}` : ""}. Add it under Species with its shrinkage, or choose another.`,
      source: "the library and the shop’s own species",
      remedies: [
        set(`Make it of ${STAND_IN.name.toLowerCase()}`, first.path, first.path.length > 1 ? null : STAND_IN.id),
      ],
    });
  },
];
