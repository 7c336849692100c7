/** A row of pieces whose figure runs on is laid out as one long piece, and parted where it lies. */
import type { Cut, Stopped } from "./cut";
import type { CuttingNeed } from "./problem";
import type { LaidSection, RoughPiece } from "./sawing";

type Rows = ReadonlyMap<string, readonly RoughPiece[]>;

/** Rows of two and more that are all to be cut, by the name of what stands for them. */
function rowsOf({ pieces }: CuttingNeed, apart: ReadonlySet<string>): Rows {
  const groups = new Map<string, RoughPiece[]>();
  for (const each of pieces) if (each.row) groups.set(each.matched!, [...(groups.get(each.matched!) ?? []), each]);
  return new Map(
    [...groups.values()]
      .filter((members) => members.length > 1 && new Set(members.map(({ species }) => species)).size === 1)
      .map((members) => [members.map(({ id }) => id).join(" "), members] as const)
      .filter(([name]) => !apart.has(name)),
  );
}

/** The same need with one piece for every row. */
function together(need: CuttingNeed, rows: Rows): CuttingNeed {
  const names = new Map([...rows].flatMap(([name, members]) => members.map(({ id }) => [id, name] as const)));
  const pieces = need.pieces.flatMap((piece): RoughPiece[] => {
    const name = names.get(piece.id);
    if (name === undefined) return [piece];
    const members = rows.get(name)!;
    return members[0] === piece ? [asOne(name, members, need.shop.kerf)] : [];
  });
  const groups = Object.fromEntries([
    ...Object.entries(need.groups).filter(([id]) => !names.has(id)),
    ...[...rows].flatMap(([name, [first]]) => (need.groups[first.id] ? [[name, need.groups[first.id]]] : [])),
  ]);
  return { ...need, pieces, groups };
}

function asOne(name: string, members: readonly RoughPiece[], kerf: number): RoughPiece {
  const most = (what: "width" | "thickness") => Math.max(...members.map((each) => each[what]));
  return {
    ...members[0],
    ...{ id: name, label: name, width: most("width"), thickness: most("thickness") },
    length: members.reduce((sum, { length }) => sum + length + kerf, -kerf),
    net: members.reduce((sum, { net = 0 }) => sum + net, 0),
  };
}

const parted = (sections: readonly LaidSection[], rows: Rows): LaidSection[] =>
  sections.map((section) => ({
    ...section,
    lanes: section.lanes.map((lane) => ({
      ...lane,
      pieces: lane.pieces.flatMap((id) => rows.get(id)?.map((each) => each.id) ?? [id]),
    })),
  }));

/** Sections of an earlier answer, a row where its first piece lay: the search leaves out what is no section of its own any more. */
function gathered(sections: readonly LaidSection[], rows: Rows): LaidSection[] {
  const names = new Map([...rows].flatMap(([name, members]) => members.map(({ id }) => [id, name] as const)));
  const first = new Map([...rows].map(([name, [{ id }]]) => [name, id]));
  return sections.map((section) => ({
    ...section,
    lanes: section.lanes.map(({ width, pieces }) => ({
      width,
      pieces: pieces.flatMap((id) => {
        const name = names.get(id);
        return name === undefined ? [id] : first.get(name) === id ? [name] : [];
      }),
    })),
  }));
}

/** The need as it is searched, what is made of its answers, and of earlier ones. */
export interface Bundles<N extends CuttingNeed> {
  need: N;
  out: (cut: Cut) => Cut;
  back: (from: Stopped | null) => Stopped | null;
}

/** @param first  the first answer to a need: a row that no board takes whole is left apart */
export function bundled<N extends CuttingNeed>(need: N, first: (need: CuttingNeed) => Cut): Bundles<N> {
  let rows = rowsOf(need, new Set());
  if (rows.size > 0) rows = rowsOf(need, new Set(first(together(need, rows)).missing.filter((id) => rows.has(id))));
  if (rows.size === 0) return { need, out: (cut) => cut, back: (from) => from };
  return {
    need: { ...need, ...together(need, rows) },
    out: (cut) => ({
      ...cut,
      sections: parted(cut.sections, rows),
      trail: cut.trail && parted(cut.trail, rows),
      missing: cut.missing.flatMap((id) => rows.get(id)?.map((each) => each.id) ?? [id]),
    }),
    back: (from) =>
      from && {
        ...from,
        sections: gathered(from.sections, rows),
        trail: from.trail && gathered(from.trail, rows),
      },
  };
}
