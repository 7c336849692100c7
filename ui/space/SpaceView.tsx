"use client";
import { useMemo, useRef, useState } from "react";
import { coloursOf } from "../../core/assembly/material";
import { posed, standing } from "../../core/assembly/part";
import { boundsOf } from "../../core/assembly/solid";
import { massOf, weighed } from "../../core/assembly/weight";
import { bodyWhereItStands } from "../../core/drawing/standing";
import { goneWith } from "../../core/assembly/small";
import { stillScene } from "../../core/drawing/still";
import { woodOf } from "../../core/wood/woods";
import { SceneView } from "../drawing/SceneView";
import { usePiece } from "../piece/PieceProvider";
import { Parts } from "./Parts";
import { Picture } from "./Picture";
import { Turning } from "./Turning";

/** Height of the view, pixels, and how many of a piece's own lengths away it is seen from. */
const HEIGHT = 420;
const AWAY = 1.6;
/** What stands high needs more: so many times what it shows from below to above. Ours: a lens of 30° */
const UPRIGHT = 2.1;

/** The piece in space: turned by pointer or keys, one part by itself, or all pulled apart along the ways their joints open. */
export function SpaceView() {
  const { plan } = usePiece();
  const { species, woods } = plan;
  const { parts: closed, poses = [] } = plan.assembly;
  const [stands, setStands] = useState("");
  const pose = poses.find(({ id }) => id === stands);
  const parts = useMemo(() => (pose ? posed(closed, pose) : standing(closed)), [closed, pose]);
  const [apart, setApart] = useState(0);
  const [alone, setAlone] = useState<string | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const shown = alone !== null && parts.some((part) => part.id === alone) ? alone : null;
  const seen = useMemo(() => parts.filter((part) => shown === null || part.id === shown), [parts, shown]);
  const small = useMemo(
    () => goneWith(plan.small, plan.assembly.parts, parts),
    [plan.small, plan.assembly.parts, parts],
  );
  const { middle, reach } = useMemo(() => {
    const { least, most } = boundsOf(seen.flatMap((part) => bodyWhereItStands(part).solid));
    const [long, high, wide] = [0, 1, 2].map((i) => most[i] - least[i]);
    const size = Math.hypot(long, high, wide);
    const centre = [0, 1, 2].map((i) => (least[i] + most[i]) / 2) as [number, number, number];
    return { middle: centre, reach: Math.max(AWAY * size, UPRIGHT * (high + 0.4 * (long + wide))) };
  }, [seen]);
  const weight = useMemo(
    () =>
      seen.length === parts.length && !pose
        ? plan.weight
        : seen.reduce(
            (sum, part) => sum + massOf(part, weighed(part).volume, woodOf(woods, part.kind, species).density),
            0,
          ),
    [seen, parts, pose, plan.weight, woods, species],
  );
  const webgl = useMemo(hasWebgl, []);
  const still = useMemo(
    () =>
      webgl ? null : stillScene(seen, (part) => coloursOf(part, (kind) => woodOf(woods, kind, species).colour)[0]),
    [webgl, seen, species, woods],
  );
  return (
    <section aria-label="In space" data-space={webgl ? "turning" : "still"} data-parts={parts.length}>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <label className="text-[13px] text-graphite">
          Look at
          <select
            className="input block text-ink"
            value={shown ?? ""}
            onChange={(event) => setAlone(event.target.value || null)}
          >
            <option value="">The whole piece</option>
            {parts.map((part) => (
              <option key={part.id} value={part.id}>
                {part.id} {part.name.toLowerCase()}
              </option>
            ))}
          </select>
        </label>
        {poses.length > 0 && (
          <label className="text-[13px] text-graphite">
            Stands
            <select
              className="input block text-ink"
              value={pose?.id ?? ""}
              onChange={(event) => setStands(event.target.value)}
            >
              <option value="">closed</option>
              {poses.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        {webgl && (
          <label className="text-[13px] text-graphite">
            Pull apart
            <input
              type="range"
              className="block w-44 accent-layout"
              min={0}
              max={1}
              step={0.01}
              value={apart}
              disabled={shown !== null}
              onChange={(event) => setApart(Number(event.target.value))}
            />
          </label>
        )}
        <p className="self-center text-[13px] text-graphite" data-weight={weight.toFixed(2)}>
          {weight < 10 ? weight.toFixed(1) : Math.round(weight)} kg of{" "}
          {[...new Set(seen.map((part) => woodOf(woods, part.kind, species).name))].join(" and ")}, joints cut and
          without its fastenings.
          {webgl && " Drag to turn, or arrow keys; + and − come nearer."}
        </p>
      </div>
      {still ? (
        <>
          <p className="lede mt-2" role="status">
            This browser shows no pictures that turn (WebGL is missing), so here is a still one.
          </p>
          <SceneView scene={still} height={HEIGHT} />
        </>
      ) : (
        <div
          ref={frame}
          tabIndex={0}
          role="application"
          aria-label="The piece in space; arrow keys turn it"
          className="mt-2 border border-hairline bg-sheet"
          style={{ height: HEIGHT }}
        >
          <Picture middle={middle} reach={reach}>
            <Parts
              parts={parts}
              small={small}
              wood={(kind) => woodOf(woods, kind, species).colour}
              apart={apart}
              alone={shown}
              onPick={setAlone}
            />
            <Turning frame={frame} middle={middle} reach={reach} />
          </Picture>
        </div>
      )}
    </section>
  );
}

/** Asked once: a context is dear. */
let webglHere: boolean | null = null;
function hasWebgl(): boolean {
  try {
    webglHere ??= document.createElement("canvas").getContext("webgl2") !== null;
  } catch {
    webglHere = false;
  }
  return webglHere;
}
