import type { Level } from "../../core/verdict/verdict";

const COLOURS: Record<Level, string> = { holds: "#2c6a3e", tight: "#8a5a00", fix: "#ab2018" };
const NAMES: Record<Level, string> = { holds: "holds", tight: "tight", fix: "to fix" };

/** Circle holds, triangle tight, square fix, ring not begun: the shape says it as well as the colour. */
export function Sign({ level, size = 15 }: { level: Level | null; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 14 14"
      role="img"
      aria-label={level ? NAMES[level] : "not begun"}
      className="shrink-0"
    >
      {level === "holds" && <circle cx="7" cy="7" r="5.6" fill={COLOURS.holds} />}
      {level === "tight" && <path d="M7 1 13 12.4H1z" fill={COLOURS.tight} />}
      {level === "fix" && <rect x="1.6" y="1.6" width="10.8" height="10.8" fill={COLOURS.fix} />}
      {level === null && <circle cx="7" cy="7" r="4.8" fill="none" stroke="#51605a" strokeWidth="1.3" />}
    </svg>
  );
}

export const levelColour = (level: Level) => COLOURS[level];
