"use client";
import { laidFor } from "../../core/panels/planned";
import type { BoardCut } from "../../core/layout/sawing";
import type { ReactNode } from "react";
import { SHEETS } from "../../core/assembly/material";
import { smallList } from "../../core/assembly/small";
import { cuttingScene } from "../../core/drawing/cutting";

import type { Plan } from "../../core/plan";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** Finished, milled and rough sizes, and what each part comes from. */
export function CutTable({ plan }: { plan: Plan }) {
  const { length, say, unit } = useUnit();
  const three = (size: { length: number; width: number; thickness: number }) =>
    [size.length, size.width, size.thickness].map((each) => length(each)).join(" × ");
  return (
    <table className="plain">
      <caption className="sr-only">Cut list</caption>
      <thead>
        <tr>
          <th>Marks</th>
          <th>Part</th>
          <th className="number">Count</th>
          <th className="number">Finished, {unit === "mm" ? "mm" : "in"}</th>
          <th className="number">Milled</th>
          <th className="number">Rough</th>
          <th>From</th>
        </tr>
      </thead>
      <tbody>
        {plan.parts.map((part) => {
          const from = part.sheet
            ? [`${SHEETS[part.sheet.material].name.toLowerCase()} of ${length(part.sheet.thickness)}`]
            : part.role === "panel"
              ? laidFor(plan, part.id).map((each) => each.board.id)
              : part.role === "button"
                ? ["offcuts"]
                : [
                    ...new Set(
                      plan.cutting.placed.filter((each) => each.piece.part === part.id).map((each) => each.board),
                    ),
                  ];
          const missing = plan.cutting.missing.filter((each) => each.part === part.id).length;
          return (
            <tr key={part.id} data-part={part.id}>
              <td className="font-[560] whitespace-nowrap">
                {part.marks.length > 4 ? `${part.marks[0]} to ${part.marks.at(-1)}` : part.marks.join(" ")}
              </td>
              <td>
                {part.name}
                {part.note && <span className="block text-[13px] text-graphite">{fractions(say(part.note))}</span>}
              </td>
              <td className="number">{part.count * part.leaves}</td>
              <td className="number whitespace-nowrap">{fractions(three(part.finished))}</td>
              <td className="number whitespace-nowrap">{fractions(three(part.milled))}</td>
              <td className="number whitespace-nowrap">
                {fractions(`${length(part.rough.length)} × ${length(part.rough.width)}`)}
              </td>
              <td>
                {from.join(", ")}
                {missing > 0 && <b className="font-[560] text-fix"> {missing} to buy</b>}
                {from.length === 0 && missing === 0 && <span className="text-graphite">not chosen</span>}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What joints bring with them, counted for every copy of the piece: it comes from offcuts, or is bought. */
export function SmallTable({ plan, times }: { plan: Plan; times: number }) {
  const { length, withUnit } = useUnit();
  const rows = smallList(plan.small, times);
  if (rows.length === 0) return null;
  return (
    <section aria-label="Small parts" className="mt-3">
      <h2>Small parts of the joints</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Part</th>
            <th className="number">Count</th>
            <th className="number">Size</th>
            <th>From</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.name} ${row.length} ${row.width} ${row.thickness}`} data-small={row.name}>
              <td>{row.name}</td>
              <td className="number">{row.count}</td>
              <td className="number whitespace-nowrap">
                {fractions(
                  row.thickness === null
                    ? `${withUnit(row.width)} round, ${length(row.length)} long`
                    : `${length(row.length)} × ${length(row.width)} × ${withUnit(row.thickness)}`,
                )}
              </td>
              <td>{row.bought ? "bought" : "offcuts, straight in the grain"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Every board that is sawn, to one scale, with its cuts in order and its pieces. `width` is fixed on paper. */
export function CutDiagrams({
  plan,
  width,
  after,
}: {
  plan: Plan;
  width: number | null;
  after?: (cut: BoardCut) => ReactNode;
}) {
  const { shop } = usePiece();
  const { withUnit, length } = useUnit();
  const { boards } = plan.cutting;
  const longest = Math.max(1, ...boards.map((cut) => cut.board.length));
  const pieces = new Map(plan.cutting.pieces.map((each) => [each.id, each]));
  return (
    <section aria-label="Cutting diagrams" className="flex flex-col gap-2">
      <h2>Boards and cuts</h2>
      <div className={`grid gap-x-6 gap-y-1 ${width === null ? "grid-cols-1 lg:grid-cols-2" : "grid-cols-2"}`}>
        {boards.map((cut) => {
          const { board, offcuts } = cut;
          return (
            <figure key={board.id} className="min-w-0 break-inside-avoid" data-cut={board.id} data-sawn={cut.sawn}>
              <figcaption className="flex min-h-8 items-center gap-3 text-[13px] text-graphite">
                <span>
                  <b className="font-semibold text-ink">{board.id}</b>,{" "}
                  {fractions(`${length(board.length)} by ${length(board.width)} by ${withUnit(board.thickness)}`)}
                  {board.shelf && `, shelf ${board.shelf}`}
                  {offcuts.length > 0 &&
                    fractions(
                      `; left ${offcuts.map((each) => `${each.id} ${length(each.length)} by ${length(each.width)}`).join(", ")}`,
                    )}
                </span>
                {after?.(cut)}
              </figcaption>
              <SceneView
                scene={cuttingScene(cut, plan.species.colour, { pieces, kerf: shop.kerf, longest })}
                height="to-width"
                width={width ?? undefined}
                paper={width !== null}
              />
            </figure>
          );
        })}
      </div>
    </section>
  );
}

/** What the rack lacks, by what to ask the merchant for. */
export function ShoppingTable({ plan, factor = null }: { plan: Plan; factor?: number | null }) {
  const { withUnit } = useUnit();
  return (
    <section>
      <h2>To buy, {plan.species.name}</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Ask for</th>
            <th className="number">Pieces</th>
            <th className="number">At least long</th>
            <th className="number">At least wide</th>
            <th className="number">m³</th>
            <th className="number">Board feet</th>
          </tr>
        </thead>
        <tbody>
          {plan.cutting.shopping.map((line) => (
            <tr key={line.thickness}>
              <td>
                {line.sawn
                  ? `${withUnit(line.sawn)} sawn`
                  : `over ${withUnit(line.thickness)}: no merchant saws it, glue from leaves`}
              </td>
              <td className="number">{line.pieces}</td>
              <td className="number">{withUnit(line.longest)}</td>
              <td className="number">{withUnit(line.widest)}</td>
              <td className="number">{line.cubicMetres.toFixed(3)}</td>
              <td className="number">{line.boardFeet.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[13px] text-graphite">
        Three tenths more than the rough pieces, for checks, knots and matching.
        {factor !== null &&
          factor > 0 &&
          ` Bought as whole boards it takes ${factor.toFixed(2)} times what the finished pieces hold.`}
      </p>
    </section>
  );
}
