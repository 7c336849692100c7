"use client";
import { useState } from "react";
import type { AsBuilt } from "../../core/piece/schema";
import { Choice, FieldRow, LengthField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { CutDiagrams, CutTable, ShoppingTable } from "./CutList";
import { StageHead } from "./StageHead";

/** The cut list, grouped by machine setting, and a diagram for each board. */
export function CuttingStage() {
  const { id, plan, piece } = usePiece();
  const boards = new Set([...plan.cutting.placed.map((each) => each.board), ...plan.panel.laid.map((each) => each.board.id)]);
  return (
    <>
      <StageHead title="What is cut from which board" actions={<a className="button button-plain" href={`/api/pieces/${id}/cut-list`}>Cut list as CSV</a>}>
        {plan.cutting.placed.length} pieces and {plan.panel.laid.length} strips from {boards.size} boards, each machine set once.
      </StageHead>
      <CutTable plan={plan} />
      {plan.cutting.shopping.length > 0 && <ShoppingTable plan={plan} />}
      <CutDiagrams plan={plan} width={null} />
      <Settings />
      <Measured key={piece.asBuilt.length} />
    </>
  );
}

function Settings() {
  const { plan } = usePiece();
  const { withUnit } = useUnit();
  const NAMES = { planer: "Planer, thickness", "table saw": "Table saw, width", "crosscut stop": "Crosscut stop, finished length" };
  return (
    <section><h2>Each setting once</h2>
      <div className="grid grid-cols-3 gap-8 max-md:grid-cols-1">{(["planer", "table saw", "crosscut stop"] as const).map((machine) => (
        <div key={machine}><h3 className="text-[13px] text-graphite">{NAMES[machine]}</h3>
          <ol>{plan.cutting.settings.filter((each) => each.machine === machine).map((each) => <li key={each.setting} className="flex justify-between gap-3 border-b border-hairline py-1 text-[13.5px]"><b className="font-[560]">{withUnit(each.setting)}</b><span className="text-right text-graphite">{each.parts.map((part) => part.marks.join(" ")).join(", ")}</span></li>)}</ol></div>
      ))}</div>
    </section>
  );
}

/** A size taken from the work counts before the planned one, everywhere. */
function Measured() {
  const { piece, plan, today, edit } = usePiece();
  const { set } = useSet();
  const { withUnit } = useUnit();
  const [part, setPart] = useState("leg");
  const [dimension, setDimension] = useState<AsBuilt["dimension"]>("width");
  const finished = plan.parts.find((each) => each.id === part)?.finished[dimension] ?? 0;
  return (
    <section>
      <h2>Measured on the work</h2>
      <p className="lede">A measured size counts before the planned one; joints, movement and the rest follow it.</p>
      <FieldRow>
        <Choice label="Part" value={part} options={plan.parts.map((each) => ({ value: each.id, name: each.name }))} onTake={setPart} />
        <Choice label="Size" value={dimension} options={[{ value: "length", name: "Length" }, { value: "width", name: "Width" }, { value: "thickness", name: "Thickness" }]} onTake={setDimension} />
        <LengthField label="As measured" value={finished} onTake={(value) => edit(`${part} ${dimension} measured`, [{ path: ["asBuilt", piece.asBuilt.length], value: { part, dimension, value, on: today } }])} />
      </FieldRow>
      <ul className="mt-2">{piece.asBuilt.map((each, i) => <li key={i} className="flex items-center justify-between border-b border-hairline py-1 text-[13.5px]"><span>{plan.parts.find((one) => one.id === each.part)?.name ?? each.part}, {each.dimension}: <b className="font-[560]">{withUnit(each.value, true)}</b>, {each.on}</span><button className="button button-plain" onClick={() => set("Measured size taken back", ["asBuilt"], piece.asBuilt.filter((_, j) => j !== i))}>Plan again</button></li>)}</ul>
    </section>
  );
}
