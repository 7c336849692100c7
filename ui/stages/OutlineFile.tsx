"use client";
import { useState } from "react";
import { parseLength } from "../../core/units/length";
import { DRAWINGS, FileButton } from "../fields/FileButton";
import { Typed } from "../fields/fields";
import { readList } from "../frame/readList";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** An outline that was drawn elsewhere: its largest closed line becomes the top's, and the top as long and wide as that is. */
export function OutlineFile() {
  const { edit } = usePiece();
  const { unit, length, say } = useUnit();
  const [long, setLong] = useState<number | null>(null);
  const [message, setMessage] = useState<string | null>(null);
  const take = async (chosen: File) => {
    try {
      const read = await readList(chosen.name, { kind: "outline", file: chosen, name: chosen.name, long });
      if (!read.ok) return setMessage(read.message);
      const refused = edit(`Outline from ${chosen.name}`, [
        { path: ["form", "top", "length"], value: read.length },
        { path: ["form", "top", "width"], value: read.width },
        { path: ["form", "top", "points"], value: read.points },
        { path: ["form", "top", "around"], value: null },
        { path: ["form", "top", "outline"], value: "points" },
      ]);
      setMessage(
        refused ??
          `${chosen.name}: ${read.points.length} lines and arcs, ${Math.round(read.length)} mm by ${Math.round(read.width)} mm. ${read.said.join(" ")}`,
      );
    } catch (error) {
      setMessage(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-3" data-outline-file>
      <FileButton
        label="Outline from a file"
        accept={DRAWINGS}
        name="Outline file"
        onChosen={(chosen) => void take(chosen)}
      />
      <Typed
        label="Its length, where the file has no scale"
        shown={long === null ? "as the file says" : length(long)}
        width="w-36"
        suffix={unit === "mm" ? "mm" : "in"}
        take={(typed) => {
          if (typed.trim() === "" || /^as/i.test(typed)) return (setLong(null), null);
          const read = parseLength(typed, unit);
          if (!read.ok) return read.message;
          setLong(read.mm);
          return null;
        }}
      />
      {message && (
        <p role="status" className="basis-full text-[13px]">
          {say(message)}
        </p>
      )}
    </div>
  );
}
