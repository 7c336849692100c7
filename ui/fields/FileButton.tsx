"use client";
import { FileUp } from "lucide-react";
import { useRef } from "react";

/** A button that asks for one file, and again for the same one. */
export function FileButton({
  label,
  accept,
  name,
  onChosen,
}: {
  label: string;
  accept: string;
  /** what the input is called */
  name: string;
  onChosen: (file: File) => void;
}) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <button className="button button-plain" onClick={() => file.current?.click()}>
        <FileUp size={14} />
        {label}
      </button>
      <input
        ref={file}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={name}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) onChosen(chosen);
        }}
      />
    </>
  );
}

/** Drawings that outlines are read from. */
export const DRAWINGS = ".svg,.dxf,image/svg+xml";
