/** Whether the parts of a piece leave one another room. */
import type { Clash } from "../assembly/clashes";
import type { AssemblyPart } from "../assembly/part";
import { Verdict, verdict } from "../verdict/verdict";

interface FitFacts {
  clashes: readonly Clash[];
  parts: readonly AssemblyPart[];
}

export const FIT_RULES: ((facts: FitFacts) => Verdict | null)[] = [partsFit];

/** So many pairs are named; the others are counted. */
const NAMED = 3;

/** No two parts fill the same room, joints worked: the pairs that share most are named. */
function partsFit({ clashes, parts }: FitFacts): Verdict | null {
  if (parts.length === 0) return null;
  const byId = new Map(parts.map((part) => [part.id, part]));
  const said = (id: string) => {
    const { name, said: sentence } = byId.get(id)!;
    return `${sentence ?? name.toLowerCase()} ${id}`;
  };
  const worst = [...clashes].sort((a, b) => b.volume - a.volume);
  const [first] = worst;
  const others = worst.slice(1, NAMED).map(({ parts: [a, b] }) => `${a} and ${b}`);
  const more = worst.length - 1 - others.length;
  return verdict({
    id: "form.fit",
    stage: "form",
    subject: [...new Set(worst.flatMap(({ kinds }) => kinds))],
    level: first ? "fix" : "holds",
    text: first
      ? `${capital(said(first.parts[0]))} and ${said(first.parts[1])} fill the same room`
      : `${parts.length} parts, and none stands in another`,
    why: first
      ? `They share ${Math.max(1, Math.round(first.volume / 1000))} cm³ with their joints cut${others.length > 0 ? `; so do ${others.join(", ")}${more > 0 ? ` and ${more} more` : ""}` : ""}. Move or shorten one of them.`
      : "Every two parts were held against each other with their joints cut.",
    source: "derived: what two bodies share",
    remedies: [],
  });
}

const capital = (text: string) => `${text[0].toUpperCase()}${text.slice(1)}`;
