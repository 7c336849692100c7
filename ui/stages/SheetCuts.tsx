"use client";
import { SHEETS } from "../../core/assembly/material";
import { sheetScene } from "../../core/drawing/sheet";
import type { Plan } from "../../core/plan";
import { SceneView } from "../drawing/SceneView";
import { useUnit } from "../frame/unit";

/** Every sheet that is cut, to one scale. `width` is fixed on paper. */
export function SheetCuts({ plan, width }: { plan: Plan; width: number | null }) {
  const { withUnit, length } = useUnit();
  const laid = plan.sheets.flatMap((sheet) => sheet.sheets.map((_, n) => ({ sheet, n })));
  if (laid.length === 0) return null;
  return (
    <section aria-label="Sheets" className="flex flex-col gap-2">
      <h2>Sheets and cuts</h2>
      <div className={`grid gap-x-6 gap-y-1 ${width === null ? "grid-cols-1 lg:grid-cols-2" : "grid-cols-2"}`}>
        {laid.map(({ sheet, n }) => (
          <figure key={`${sheet.material} ${sheet.thickness} ${n}`} className="min-w-0 break-inside-avoid">
            <figcaption className="text-[13px] text-graphite">
              <b className="font-semibold text-ink">
                {SHEETS[sheet.material].name}, {withUnit(sheet.thickness)}
              </b>
              , as sold {length(sheet.sold.length)} by {withUnit(sheet.sold.width)}; strips first, in the order of their
              numbers, then the parts from each
            </figcaption>
            <SceneView
              scene={sheetScene(sheet, n)}
              height="to-width"
              width={width ?? undefined}
              paper={width !== null}
            />
          </figure>
        ))}
      </div>
    </section>
  );
}
