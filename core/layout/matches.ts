import type { Cutting } from "../piece/schema";

/**
 * Pieces that must come from one board, as groups, from rules such as “E1 from the board of A1”.
 *
 * @param marks  every piece there is
 * @returns group by piece; `circle` names the rules that run round in one, `unknown` those that name no piece
 */
export function matchingGroups(
  matches: Cutting["matches"],
  marks: readonly string[],
): { groups: Record<string, string>; circle: Cutting["matches"]; unknown: Cutting["matches"] } {
  const known = new Set(marks);
  const unknown = matches.filter((each) => !known.has(each.piece) || !known.has(each.as));
  const follows = new Map<string, string>();
  const circle: Cutting["matches"] = [];
  for (const match of matches) {
    if (unknown.includes(match)) continue;
    const leader = leaderOf(follows, match.as);
    if (leader === match.piece || leaderOf(follows, match.piece) === leader) {
      if (leadsTo(matches, match)) circle.push(match);
      continue;
    }
    follows.set(leaderOf(follows, match.piece), leader);
  }
  const groups: Record<string, string> = {};
  for (const mark of marks) {
    const leader = leaderOf(follows, mark);
    if (leader !== mark) {
      groups[mark] = leader;
      groups[leader] = leader;
    }
  }
  return { groups, circle, unknown };
}

function leaderOf(follows: ReadonlyMap<string, string>, mark: string): string {
  let at = mark;
  while (follows.has(at)) at = follows.get(at)!;
  return at;
}

/** Whether following the rules from what this one leans on comes back to it. */
function leadsTo(matches: Cutting["matches"], from: Cutting["matches"][number]): boolean {
  const seen = new Set<string>();
  const open = [from.as];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === from.piece) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    open.push(...matches.filter((each) => each.piece === at).map((each) => each.as));
  }
  return false;
}
