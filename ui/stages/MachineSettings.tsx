"use client";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

export function Settings() {
  const { plan } = usePiece();
  const { withUnit } = useUnit();
  const NAMES = {
    planer: "Planer, thickness",
    "table saw": "Table saw, width",
    "crosscut stop": "Crosscut stop, finished length",
  };
  return (
    <section>
      <h2>Each setting once</h2>
      <div className="grid grid-cols-3 gap-8 max-md:grid-cols-1">
        {(["planer", "table saw", "crosscut stop"] as const).map((machine) => (
          <div key={machine}>
            <h3 className="text-[13px] text-graphite">{NAMES[machine]}</h3>
            <ol>
              {plan.cutting.settings
                .filter((each) => each.machine === machine)
                .map((each) => (
                  <li
                    key={each.setting}
                    className="flex justify-between gap-3 border-b border-hairline py-1 text-[13.5px]"
                  >
                    <b className="font-[560]">{withUnit(each.setting)}</b>
                    <span className="text-right text-graphite">
                      {each.parts.map((part) => part.marks.join(" ")).join(", ")}
                    </span>
                  </li>
                ))}
            </ol>
          </div>
        ))}
      </div>
    </section>
  );
}
