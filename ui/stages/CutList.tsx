"use client";
import { cuttingScene } from "../../core/drawing/boards";
import type { Plan } from "../../core/plan";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** Finished, milled and rough sizes, and what each part comes from. */
export function CutTable({ plan }: { plan: Plan }) {
  const { length, say, unit } = useUnit();
  const three = (size: { length: number; width: number; thickness: number }) => [size.length, size.width, size.thickness].map((each) => length(each)).join(" × ");
  return (
    <table className="plain"><caption className="sr-only">Cut list</caption>
      <thead><tr><th>Marks</th><th>Part</th><th className="number">Count</th><th className="number">Finished, {unit === "mm" ? "mm" : "in"}</th><th className="number">Milled</th><th className="number">Rough</th><th>From</th></tr></thead>
      <tbody>{plan.parts.map((part) => {
        const from = part.role === "top" ? plan.panel.laid.map((each) => each.board.id) : part.role === "button" ? ["offcuts"] : [...new Set(plan.cutting.placed.filter((each) => each.piece.part === part.id).map((each) => each.board))];
        const missing = plan.cutting.missing.filter((each) => each.part === part.id).length;
        return (
          <tr key={part.id} data-part={part.id}>
            <td className="font-[560] whitespace-nowrap">{part.marks.length > 4 ? `${part.marks[0]} to ${part.marks.at(-1)}` : part.marks.join(" ")}</td><td>{part.name}{part.note && <span className="block text-[13px] text-graphite">{fractions(say(part.note))}</span>}</td><td className="number">{part.count * part.leaves}</td>
            <td className="number whitespace-nowrap">{fractions(three(part.finished))}</td><td className="number whitespace-nowrap">{fractions(three(part.milled))}</td><td className="number whitespace-nowrap">{fractions(`${length(part.rough.length)} × ${length(part.rough.width)}`)}</td>
            <td>{from.join(", ")}{missing > 0 && <b className="font-[560] text-fix"> {missing} to buy</b>}{from.length === 0 && missing === 0 && <span className="text-graphite">not chosen</span>}</td>
          </tr>
        );
      })}</tbody>
    </table>
  );
}

/** Every board that is sawn, to one scale, with its pieces. `width` is fixed on paper. */
export function CutDiagrams({ plan, width }: { plan: Plan; width: number | null }) {
  const { rack, shop } = usePiece();
  const { withUnit, length } = useUnit();
  const used = rack.filter((board) => plan.cutting.placed.some((each) => each.board === board.id) || plan.panel.laid.some((each) => each.board.id === board.id));
  const longest = Math.max(1, ...used.map((board) => board.length));
  return (
    <section aria-label="Cutting diagrams" className="flex flex-col gap-2">
      <h2>Boards and cuts</h2>
      <div className={width === null ? "contents" : "grid grid-cols-2 gap-x-6 gap-y-1"}>{used.map((board) => {
        const laid = plan.panel.laid.find((each) => each.board.id === board.id);
        const strip = laid ? { x: laid.strip.slide, length: plan.geometry.core.length + shop.lengthAllowance, width: Math.min(board.width, laid.full + shop.widthAllowance) } : null;
        return (
          <figure key={board.id} className="break-inside-avoid">
            <figcaption className="text-[13px] text-graphite"><b className="font-semibold text-ink">{board.id}</b>, {fractions(`${length(board.length)} by ${length(board.width)} by ${withUnit(board.thickness)}`)}{board.shelf && `, shelf ${board.shelf}`}</figcaption>
            <SceneView scene={cuttingScene(board, plan.species.colour, plan.cutting.placed.filter((each) => each.board === board.id), strip, longest)} height="to-width" width={width ?? undefined} paper={width !== null} />
          </figure>
        );
      })}</div>
    </section>
  );
}

/** What the rack lacks, by what to ask the merchant for. */
export function ShoppingTable({ plan }: { plan: Plan }) {
  const { withUnit } = useUnit();
  return (
    <section><h2>To buy, {plan.species.name}</h2>
      <table className="plain"><thead><tr><th>Ask for</th><th className="number">Pieces</th><th className="number">At least long</th><th className="number">At least wide</th><th className="number">m³</th><th className="number">Board feet</th></tr></thead>
        <tbody>{plan.cutting.shopping.map((line) => <tr key={line.thickness}><td>{line.sawn ? `${withUnit(line.sawn)} sawn` : `over ${withUnit(line.thickness)}: no merchant saws it, glue from leaves`}</td><td className="number">{line.pieces}</td><td className="number">{withUnit(line.longest)}</td><td className="number">{withUnit(line.widest)}</td><td className="number">{line.cubicMetres.toFixed(3)}</td><td className="number">{line.boardFeet.toFixed(1)}</td></tr>)}</tbody></table>
      <p className="text-[13px] text-graphite">Three tenths more than the pieces themselves, for checks, knots and matching.</p>
    </section>
  );
}
