"use client";
import { useState } from "react";
import type { CurveChoice } from "../../core/piece/kinds";
import { DRAWINGS, FileButton } from "../fields/FileButton";
import { readList } from "../frame/readList";
import { useUnit } from "../frame/unit";

/** The line of an edge that was drawn elsewhere, on the part’s whole face. @param length  of the part between its shoulders, mm */
export function EdgeFile({
  name,
  length,
  curve,
  onPut,
}: {
  name: string;
  length: number;
  curve: CurveChoice;
  onPut: (label: string, curve: CurveChoice) => string | null;
}) {
  const { say } = useUnit();
  const [message, setMessage] = useState<string | null>(null);
  const take = async (chosen: File) => {
    try {
      const edge = curve.edge === "upper" ? "upper" : "lower";
      const read = await readList(chosen.name, { kind: "edge", file: chosen, name: chosen.name, length, edge });
      if (!read.ok) return setMessage(read.message);
      const refused = onPut(`edge from ${chosen.name}`, { ...curve, points: read.points, mirrored: false });
      setMessage(refused ?? [`${chosen.name}: ${read.points.length} points.`, ...read.said].join(" "));
    } catch (error) {
      setMessage(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <div className="mb-2 flex flex-wrap items-center gap-3" data-edge-file>
      <FileButton
        label="Edge from a file"
        accept={DRAWINGS}
        name={`${name}: edge file`}
        onChosen={(chosen) => void take(chosen)}
      />
      {message && (
        <p role="status" className="text-[13px]">
          {say(message)}
        </p>
      )}
    </div>
  );
}
