"use client";
import { rejoined } from "../../core/construction/own/rules";
import type { AssemblyPart } from "../../core/assembly/part";
import type { Own, OwnJoin, OwnPart } from "../../core/piece/own-choices";
import { Choice, FieldRow, LengthField, NumberField, TextField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";

const HOW: Record<OwnJoin["how"], string> = {
  none: "Not joined",
  screwed: "Screws",
  slotted: "Screws in slots",
  tenoned: "Mortise and tenon",
  "loose-tenons": "Loose tenons",
  dowelled: "Dowels",
  pockets: "Pocket screws",
};
const GRAIN = [
  { value: "along", name: "Along the top" },
  { value: "across", name: "Across the top" },
  { value: "upright", name: "Upright" },
] as const;
const TIMES = [
  { value: "once", name: "Once" },
  { value: "sides", name: "On both sides" },
  { value: "ends", name: "At both ends" },
  { value: "corners", name: "At all four corners" },
] as const;

/** What is left to a maker: parts by size and place, each joined to what it touches by a kind that fits there. */
export function OwnParts() {
  const { piece, plan, edit } = usePiece();
  const { own } = piece;
  const put = (label: string, next: Partial<Own>) => edit(label, [{ path: ["own"], value: { ...own, ...next } }]);
  const change = (i: number, part: Partial<OwnPart>) =>
    put(own.parts[i].name, { parts: own.parts.map((each, n) => (n === i ? { ...each, ...part } : each)) });
  const next = 1 + Math.max(0, ...own.parts.map(({ id }) => Number(id.slice(4))));
  const add = (from: OwnPart) => put(`${from.name} added`, { parts: [...own.parts, { ...from, id: `own-${next}` }] });
  const takeOut = ({ id, name }: OwnPart) =>
    put(`${name} taken out`, {
      parts: own.parts.filter((each) => each.id !== id),
      joins: own.joins.filter((each) => each.own !== id && each.to !== id),
    });
  const kinds = [...new Map(plan.assembly.parts.map((part) => [part.kind, part])).values()].filter(
    ({ kind, bought }) => !bought && !kind.startsWith("own-"),
  );
  // off the middle, where rails cross
  const beside = { ...FRESH, x: Math.round(plan.geometry.top.length / 6) };
  return (
    <section aria-label="Parts of your own">
      <h2>Parts of your own</h2>
      {own.parts.map((part, i) => {
        const size = (label: string, key: "length" | "width" | "thickness" | "x" | "z" | "height") => (
          <LengthField label={label} value={part[key]} onTake={(to) => change(i, { [key]: to })} />
        );
        const pairs = plan.ownPairs.filter((pair) => pair.own === part.id);
        return (
          <div key={part.id} className="border-b border-hairline pb-2" data-own={part.id}>
            <FieldRow>
              <TextField label="Called" value={part.name} onTake={(name) => change(i, { name })} />
              {size("Long", "length")}
              {size("Wide", "width")}
              {size("Thick", "thickness")}
              <Choice
                label="Grain"
                value={part.grain}
                options={GRAIN}
                onTake={(grain) => change(i, { grain: grain as OwnPart["grain"] })}
              />
              <Choice
                label="Broad side"
                value={part.lies}
                options={
                  part.grain === "upright"
                    ? [
                        { value: "flat", name: "To the front" },
                        { value: "on-edge", name: "To the ends" },
                      ]
                    : [
                        { value: "flat", name: "Flat" },
                        { value: "on-edge", name: "On edge" },
                      ]
                }
                onTake={(lies) => change(i, { lies: lies as OwnPart["lies"] })}
              />
              <NumberField label="Lean, °" value={part.lean} onTake={(lean) => change(i, { lean })} />
              {size("Right of the middle", "x")}
              {size("In front of the middle", "z")}
              <Choice
                label="Rests"
                value={part.rests}
                options={[
                  { value: "under-top", name: "Up against the top" },
                  { value: "floor", name: "On the floor" },
                  { value: "free", name: "At a height" },
                ]}
                onTake={(rests) => change(i, { rests: rests as OwnPart["rests"] })}
              />
              {part.rests === "free" && size("Above the floor", "height")}
              <Choice
                label="How often"
                value={part.times}
                options={TIMES}
                onTake={(times) => change(i, { times: times as OwnPart["times"] })}
              />
              <button className="button button-plain self-end" onClick={() => add({ ...part, z: part.z + 60 })}>
                Copy it
              </button>
              <button className="button button-plain self-end" onClick={() => takeOut(part)}>
                Take out
              </button>
            </FieldRow>
            {pairs.length === 0 ? (
              <p className="text-[13px] text-graphite">It touches nothing it could be joined to.</p>
            ) : (
              <FieldRow>
                {pairs.map((pair) => {
                  const refused = pair.fits.filter(({ not }) => not !== null);
                  return (
                    <div key={pair.to}>
                      <Choice
                        label={`${pair.name}, ${pair.count} time${pair.count > 1 ? "s" : ""}`}
                        value={pair.how}
                        options={pair.fits
                          .filter(({ how, not }) => not === null || how === pair.how)
                          .map(({ how }) => ({ value: how, name: HOW[how] }))}
                        onTake={(how) => put(pair.name, { joins: rejoined(own.joins, pair, how as OwnJoin["how"]) })}
                      />
                      {refused.length > 0 && (
                        <ul className="max-w-72 text-[13px] text-graphite">
                          {refused.map(({ how, not }) => (
                            <li key={how}>
                              {HOW[how]}: {not}
                            </li>
                          ))}
                        </ul>
                      )}
                    </div>
                  );
                })}
              </FieldRow>
            )}
          </div>
        );
      })}
      {own.parts.length < 20 && (
        <FieldRow>
          <button className="button mt-2" onClick={() => add(beside)}>
            Add a part
          </button>
          {kinds.length > 0 && (
            <Choice
              label="Or one as large as"
              value=""
              options={[{ value: "", name: "choose" }, ...kinds.map(({ kind, name }) => ({ value: kind, name }))]}
              onTake={(kind) => {
                const like = kinds.find((each) => each.kind === kind);
                return like ? add(asLarge(like, beside)) : null;
              }}
            />
          )}
        </FieldRow>
      )}
    </section>
  );
}

const FRESH: OwnPart = {
  ...{ id: "own-1", name: "Rail of your own", length: 400, width: 60, thickness: 25, x: 0, z: 0 },
  ...{ rests: "under-top", height: 200, grain: "across", lean: 0, lies: "on-edge", times: "once" },
};
const whole = (size: number, least: number, most: number) =>
  Math.min(most, Math.max(least, Math.round(size * 10) / 10));

/** As large as a part that is there. */
const asLarge = ({ name, shape }: AssemblyPart, where: OwnPart): OwnPart => ({
  ...where,
  name: `${name}, own`,
  length: whole(shape.length, 10, 6000),
  width: whole(shape.width, 5, 1000),
  thickness: whole(shape.thickness, 3, 300),
});
