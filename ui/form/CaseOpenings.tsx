"use client";
import { useMemo, useState } from "react";
import { bayAdded, growing, moved, split, without } from "../../core/construction/base/case/divide";
import type { Case } from "../../core/construction/base/case/case";
import { openingsScene, readId } from "../../core/drawing/openings";
import { CaseBay, CaseRow, isDrawn } from "../../core/piece/case-choices";
import { SceneView } from "../drawing/SceneView";
import { Choice, FieldRow, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** Each drawer so many times as high as the one above it, to begin from. @source common practice */
const GROWS = 1.15;

/** The case from the front: lines are dragged, sizes typed, an opening is picked and given what it holds. */
export function CaseOpenings({ at }: { at: Case }) {
  const { piece, edit } = usePiece();
  const { fromDrawing } = useSet();
  const [picked, setPicked] = useState({ bay: 0, row: 0 });
  const [times, setTimes] = useState(GROWS);
  const { bays } = piece.form.case;
  // what was picked may have been taken out meanwhile
  const bay = Math.min(picked.bay, bays.length - 1);
  const row = Math.min(picked.row, bays[bay].rows.length - 1);
  const scene = useMemo(() => openingsScene(at, { bay, row }), [at, bay, row]);
  const put = (label: string, value: CaseBay[]) => edit(label, [{ path: ["form", "case", "bays"], value }]);
  const rows = (label: string, of: number, value: CaseRow[]) =>
    put(
      label,
      bays.map((each, i) => (i === of ? { ...each, rows: value } : each)),
    );
  const placed = at.bays[bay];
  const opening = placed?.openings[row];

  const dragged = (id: string, to: { x: number; y: number }, done: boolean) => {
    const what = readId(id);
    if (!what || !done || what.kind === "opening") return;
    if (what.kind === "under") {
      const { openings } = at.bays[what.bay];
      const asked = moved(
        bays[what.bay].rows.map(({ height }) => height),
        openings.map((each) => each.to - each.from),
        what.row,
        openings[what.row].to - to.y - at.inner / 2,
      );
      rows(
        "A division moved",
        what.bay,
        bays[what.bay].rows.map((each, i) => ({ ...each, height: asked[i] })),
      );
    } else {
      const asked = moved(
        bays.map(({ width }) => width),
        at.bays.map((each) => each.to - each.from),
        what.bay,
        to.x - at.inner / 2 - at.bays[what.bay].from,
      );
      put(
        "A divider moved",
        bays.map((each, i) => ({ ...each, width: asked[i] })),
      );
    }
  };
  const pick = (id: string) => {
    const what = readId(id);
    if (what?.kind === "opening") setPicked({ bay: what.bay, row: what.row });
  };
  return (
    <section aria-label="Openings" className="w-full">
      <h2 className="text-[15px]">Openings</h2>
      <SceneView scene={scene} height={260} onEdit={fromDrawing} onPick={pick} onDrag={dragged} />
      {opening && (
        <FieldRow>
          <Choice
            label={`Opening ${row + 1} of bay ${bay + 1} holds`}
            value={opening.holds}
            options={[
              { value: "nothing", name: "Nothing" },
              { value: "drawer", name: "A drawer" },
              { value: "drawers-through", name: "Drawers from both sides" },
              { value: "door-left", name: "A door, hung left" },
              { value: "door-right", name: "A door, hung right" },
              { value: "doors", name: "Two doors" },
            ]}
            onTake={(holds) =>
              rows(
                "What an opening holds",
                bay,
                bays[bay].rows.map((each, i) => (i === row ? { ...each, holds } : each)),
              )
            }
          />
          {!isDrawn(opening.holds) && (
            <NumberField
              label="Loose shelves"
              value={opening.shelves}
              onTake={(shelves) =>
                rows(
                  "Loose shelves",
                  bay,
                  bays[bay].rows.map((each, i) => (i === row ? { ...each, shelves } : each)),
                )
              }
            />
          )}
          <Tick
            label="Shares what is left"
            checked={opening.typed === null}
            onTake={(shares) =>
              rows(
                "Height of an opening",
                bay,
                bays[bay].rows.map((each, i) =>
                  i === row ? { ...each, height: shares ? null : Math.max(20, opening.to - opening.from) } : each,
                ),
              )
            }
          />
          {opening.typed !== null && (
            <LengthField
              label="Height of it"
              value={opening.typed}
              onTake={(height) =>
                rows(
                  "Height of an opening",
                  bay,
                  bays[bay].rows.map((each, i) => (i === row ? { ...each, height } : each)),
                )
              }
            />
          )}
          <button
            className="button self-end"
            disabled={bays[bay].rows.length >= 8}
            onClick={() =>
              rows("An opening split", bay, split(bays[bay].rows, row, opening.to - opening.from, at.inner))
            }
          >
            Split it
          </button>
          {bays[bay].rows.length > 1 && (
            <button
              className="button button-plain self-end"
              onClick={() => rows("An opening taken out", bay, without(bays[bay].rows, row))}
            >
              Take it out
            </button>
          )}
          {bays[bay].rows.length > 1 && (
            <>
              <NumberField
                label="Each times the one above"
                value={times}
                onTake={(value) => {
                  if (value < 0.5 || value > 2) return "It runs from 0.5 to 2.";
                  setTimes(value);
                  return null;
                }}
              />
              <button
                className="button self-end"
                onClick={() =>
                  rows(
                    "Heights that grow",
                    bay,
                    growing(
                      bays[bay].rows,
                      placed.openings.reduce((sum, each) => sum + each.to - each.from, 0),
                      times,
                    ),
                  )
                }
              >
                Let them grow
              </button>
              <button
                className="button button-plain self-end"
                onClick={() =>
                  rows(
                    "Heights alike",
                    bay,
                    bays[bay].rows.map((each) => ({ ...each, height: null })),
                  )
                }
              >
                All alike
              </button>
            </>
          )}
          <button
            className="button self-end"
            disabled={bays.length >= 6}
            onClick={() => put("A bay beside it", bayAdded(bays, bay))}
          >
            Add a bay beside it
          </button>
          {bays.length > 1 && (
            <button className="button button-plain self-end" onClick={() => put("A bay taken out", without(bays, bay))}>
              Take the bay out
            </button>
          )}
        </FieldRow>
      )}
    </section>
  );
}
