"use client";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

const ENDS = [
  { value: "square" as const, name: "Square" },
  { value: "bevelled" as const, name: "Bevelled" },
  { value: "rounded" as const, name: "Rounded" },
];
const MAKES = [
  { value: "solid" as const, name: "Solid" },
  { value: "laminated" as const, name: "From two leaves" },
  { value: "three-leaves" as const, name: "From three leaves" },
  { value: "four-leaves" as const, name: "From four leaves" },
];

/** The choices of a trestle, part by part. */
export function TrestleFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { trestle } = piece.form;
  const at = (...path: string[]) => ["form", "trestle", ...path];
  const size = (label: string, of: keyof typeof trestle, what: string) => {
    const group = trestle[of] as Record<string, unknown>;
    return (
      <LengthField
        key={label}
        label={label}
        value={group[what] as number}
        onTake={(value) => set(label, at(of, what), value)}
      />
    );
  };
  const two = trestle.post.count === 2;
  return (
    <>
      <Group name="Ends">
        <Choice
          label="Trestles"
          value={String(trestle.ends)}
          options={[
            { value: "2", name: "Two ends" },
            { value: "3", name: "Three" },
          ]}
          onTake={(value) => set("Ends of the trestle", at("ends"), Number(value))}
        />
        <Choice
          label="Posts an end"
          value={String(trestle.post.count)}
          options={[
            { value: "1", name: "One" },
            { value: "2", name: "Two" },
          ]}
          onTake={(value) => set("Posts an end", at("post", "count"), Number(value))}
        />
        {size("Post width", "post", "width")}
        {size("Post thickness", "post", "thickness")}
        {two && size("Posts apart", "post", "apart")}
        <Choice
          label="Posts made"
          value={trestle.post.make}
          options={MAKES}
          onTake={(value) => set("Post making", at("post", "make"), value)}
        />
      </Group>
      <Group name="Feet">
        {size("Foot thickness", "foot", "thickness")}
        {size("Relief below", "foot", "relief")}
        <Choice
          label="Foot ends"
          value={trestle.foot.ends}
          options={ENDS}
          onTake={(value) => set("Foot ends", at("foot", "ends"), value)}
        />
        {trestle.foot.ends !== "square" && size("Foot end cut", "foot", "cut")}
        <Choice
          label="Feet made"
          value={trestle.foot.make}
          options={MAKES}
          onTake={(value) => set("Foot making", at("foot", "make"), value)}
        />
        <Tick
          label="Pads let in"
          checked={trestle.foot.pads}
          onTake={(value) => set("Pads", at("foot", "pads"), value)}
        />
      </Group>
      <Group name="Braces">
        {size("Brace thickness", "brace", "thickness")}
        <Choice
          label="Brace ends"
          value={trestle.brace.ends}
          options={ENDS}
          onTake={(value) => set("Brace ends", at("brace", "ends"), value)}
        />
        {trestle.brace.ends !== "square" && size("Brace end cut", "brace", "cut")}
        <Choice
          label="Struts"
          value={trestle.struts.joint}
          options={[
            { value: "none", name: "None" },
            { value: "tenoned", name: "Tenoned" },
            { value: "shouldered", name: "Housed, screwed" },
          ]}
          onTake={(value) => set("Struts", at("struts", "joint"), value)}
        />
        {trestle.struts.joint !== "none" && (
          <>
            {size("Strut reach", "struts", "reach")}
            {size("Strut width", "struts", "width")}
            {size("Strut thickness", "struts", "thickness")}
          </>
        )}
      </Group>
      <Group name="Stretcher">
        {size("Stretcher thickness", "stretcher", "thickness")}
        {size("Arch below", "stretcher", "arch")}
        <Choice
          label="Joined to the posts"
          value={trestle.stretcher.joint}
          options={[
            { value: "wedged", name: "Through, wedged" },
            { value: "through", name: "Through, plain" },
            { value: "blind", name: "Blind tenon" },
            { value: "lagged", name: "Lag screws: comes apart" },
          ]}
          onTake={(value) => set("Stretcher joint", at("stretcher", "joint"), value)}
        />
        {(trestle.stretcher.joint === "wedged" || trestle.stretcher.joint === "through") &&
          size("Stands proud", "stretcher", "proud")}
        <NumberField
          label="Uprights on it"
          value={trestle.uprights}
          onTake={(value) => set("Uprights", at("uprights"), value)}
        />
        <Choice
          label="Ties above"
          value={trestle.ties.count}
          options={[
            { value: "none", name: "None" },
            { value: "two", name: "Two, dovetailed" },
          ]}
          onTake={(value) => set("Ties", at("ties", "count"), value)}
        />
        {trestle.ties.count === "two" && (
          <>
            {size("Tie depth", "ties", "depth")}
            {size("Tie thickness", "ties", "thickness")}
            {size("Ties apart", "ties", "apart")}
          </>
        )}
      </Group>
    </>
  );
}
